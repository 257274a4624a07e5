<x-layout :title="__('A new password')" class="home">
    <x-bar />
    <main class="container-sm narrow py-4">
        <section class="card-paper">
            <x-said />
            <h1>{{ __('A new password') }}</h1>
            <form method="post" action="{{ route('account.reset.set') }}">
                @csrf
                <input type="hidden" name="token" value="{{ $token }}">
                <label for="email">{{ __('E-mail of the account') }}</label>
                <input id="email" name="email" type="email" class="form-control mb-2" required autocomplete="username"
                    value="{{ $email }}">
                <label for="password">{{ __('Password, ten characters or more') }}</label>
                <input id="password" name="password" type="password" class="form-control mb-3" required minlength="10"
                    autocomplete="new-password">
                <button class="btn btn-go w-100">{{ __('Set the password') }}</button>
            </form>
        </section>
    </main>
</x-layout>
