<x-layout :title="__('Account')" class="home">
    <x-teacher-bar here="account" />
    <main class="container-lg py-4">
        <x-said />
        <h1>{{ __('Account') }}</h1>
        @if ($teacher->hasAccount())
            <p>{{ __('You’re signed in as :name (:email). Your plans, classes and sessions are on every device where you sign in.',
                ['name' => $teacher->name, 'email' => $teacher->email]) }}</p>
            @if ($mayAccept)
                <form method="post" action="{{ route('account.accept') }}" class="mb-3">@csrf
                    <button class="btn btn-go">{{ $invitedTo === null
                        ? __('Accept the invitation')
                        : __('Accept the invitation from :school', ['school' => $invitedTo->name]) }}</button></form>
            @endif
            <form method="post" action="{{ route('account.sign-out') }}">@csrf
                <button class="btn btn-outline-slate">{{ __('Sign out on this device') }}</button></form>
            @include('account.own')
        @else
            <p>{{ $who === App\Accounts\WhoTeaches::Anybody
                ? __('You don’t need an account. With one, your plans, classes and sessions follow you to other devices.')
                : __('Teachers sign in here. Students need no account: they join with the code on the class screen.') }}</p>
            <div class="home-ways">
                <section class="card-paper" aria-labelledby="account-new">
                    <h2 id="account-new">{{ __('Make an account') }}</h2>
                    @if ($mayMake)
                    <form method="post" action="{{ route('account.make') }}">
                        @csrf
                        <label for="name">{{ __('Your name, as students see it') }}</label>
                        <input id="name" name="name" class="form-control mb-2" maxlength="60" required
                            autocomplete="name" value="{{ old('name', $teacher->name) }}">
                        <label for="email">{{ __('E-mail') }}</label>
                        <input id="email" name="email" type="email" class="form-control mb-2" required
                            autocomplete="username" value="{{ old('email') }}">
                        <label for="password">{{ __('Password, ten characters or more') }}</label>
                        <input id="password" name="password" type="password" class="form-control mb-3" required
                            minlength="10" autocomplete="new-password">
                        <button class="btn btn-go w-100">{{ __('Make the account') }}</button>
                    </form>
                    @else
                        @if ($canAsk)
                            <form method="post" action="{{ route('account.ask') }}" class="mb-3">
                                @csrf
                                <p>{{ __('Have an e-mail address at your school? We’ll send an invitation to it.') }}</p>
                                <x-field name="school_email" type="email" :words="__('E-mail at your school')" maxlength="200"
                                    required autocomplete="email" :value="old('school_email')" />
                                <button class="btn btn-go w-100 mt-2">{{ __('Send me an invitation') }}</button>
                            </form>
                        @endif
                        <p>{{ __('You need an invitation to make an account here. Ask whoever looks after Crag at your school.') }}</p>
                    @endif
                </section>
                <section class="card-paper" aria-labelledby="account-in">
                    <h2 id="account-in">{{ __('Sign in') }}</h2>
                    <form method="post" action="{{ route('account.sign-in') }}">
                        @csrf
                        <label for="in-email">{{ __('E-mail') }}</label>
                        <input id="in-email" name="email" type="email" class="form-control mb-2" required
                            autocomplete="username">
                        <label for="in-password">{{ __('Password') }}</label>
                        <input id="in-password" name="password" type="password" class="form-control mb-3" required
                            autocomplete="current-password">
                        <button class="btn btn-slate w-100">{{ __('Sign in') }}</button>
                        <p class="form-text mt-2"><a
                            href="{{ route('account.forgot') }}">{{ __('I have forgotten the password') }}</a></p>
                    </form>
                    <p class="form-text">{{ __('Everything made on this device comes too.') }}</p>
                </section>
            </div>
            @if ($teacher->exists) <h2 class="mt-4">{{ __('On this device') }}</h2> @include('account.own') @endif
        @endif
    </main>
</x-layout>
