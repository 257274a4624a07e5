<x-layout :title="__('Sillbeck School accounts')" class="home">
    <main class="container-sm narrow py-4">
        <section class="card-paper">
            <h1>{{ __('Sillbeck School accounts') }}</h1>
            <p>{{ __('This stands in for a school’s own sign-in page. Choose who you are; nobody needs a password here.') }}</p>
            <form method="post" action="{{ route('simulated.sign-in') }}">
                @csrf
                @foreach ($asked + ['client_id' => config('crag.oidc_client'), 'response_type' => 'code',
                    'code_challenge_method' => 'S256'] as $name => $value)
                    <input type="hidden" name="{{ $name }}" value="{{ $value }}">
                @endforeach
                <div class="join-names mb-3">
                    @foreach ($people as $person)
                        <button class="join-name" dir="auto" name="account"
                            value="{{ $person->account }}">{{ $person->name }}</button>
                    @endforeach
                </div>
            </form>
            <form method="post" action="{{ route('simulated.sign-in') }}">
                @csrf
                @foreach ($asked + ['client_id' => config('crag.oidc_client'), 'response_type' => 'code',
                    'code_challenge_method' => 'S256'] as $name => $value)
                    <input type="hidden" name="{{ $name }}" value="{{ $value }}">
                @endforeach
                <x-field name="account" type="email" :words="__('Somebody else’s account')" maxlength="120" autocomplete="off"
                    placeholder="robin.hale@sillbeck.example" />
                <x-field name="name" :words="__('Name')" maxlength="60" autocomplete="off" />
                <button class="btn btn-go w-100">{{ __('Sign in') }}</button>
            </form>
        </section>
    </main>
</x-layout>
