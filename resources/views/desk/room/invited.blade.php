<x-layout :title="__('Join as a teacher')" class="home">
    <x-bar />
    <main class="container-sm narrow py-4">
        <section class="card-paper">
            <h1>{{ $session->title }}</h1>
            <p>{{ __('with :teacher', ['teacher' => $session->teacher_name]) }}</p>
            <p>{{ $role === Crag\Session\Rules\Role::Helper
                ? __('You’re joining as a helper: you can see every canvas, coach and check. Someone else leads the class.')
                : __('You’re joining as a colleague: you can do everything the teacher can, including ending the session.') }}</p>
            <form action="{{ route('beside.accept', [$session, $key]) }}" method="post" novalidate>
                @csrf
                <x-field name="name" :words="__('Your name, as students see it')" maxlength="60" required autocomplete="name"
                    value="{{ old('name', $teacher?->name) }}" />
                <button class="btn btn-go btn-lg w-100 mt-3">{{ __('Open the desk') }}</button>
            </form>
        </section>
    </main>
</x-layout>
