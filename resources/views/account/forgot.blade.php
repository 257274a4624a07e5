<x-layout :title="__('A new password')" class="home">
    <x-bar />
    <main class="container-sm narrow py-4">
        <section class="card-paper">
            <x-said />
            <h1>{{ __('A new password') }}</h1>
            <form method="post" action="{{ route('account.forgot.send') }}">
                @csrf
                <label for="email">{{ __('E-mail of the account') }}</label>
                <input id="email" name="email" type="email" class="form-control mb-3" required autocomplete="username">
                <button class="btn btn-go w-100">{{ __('Send me a link') }}</button>
            </form>
        </section>
    </main>
</x-layout>
