<x-layout :title="__('Home')" class="home">
    <x-bar>
        <nav class="bar-ways" aria-label="{{ __('Your pages') }}">
            @if ($mayTeach && $teacher !== null) <a href="{{ route('plans') }}">{{ __('Plans') }}</a>
                <a href="{{ route('classes') }}">{{ __('Classes') }}</a> @endif
            <a href="{{ route('account') }}">{{ $teacher?->hasAccount() ? __('Account') : __('Sign in') }}</a>
        </nav>
    </x-bar>
    <main class="container-lg py-4">
        @if (session('said'))
            <p class="alert alert-success" role="status">{{ session('said') }}</p>
        @endif
        <h1 class="visually-hidden">Crag</h1>
        @if ($running->isEmpty() && $plans->isEmpty())
            <p
                class="home-lead">{{ __('Every student draws on a canvas of their own. The teacher sees them all while the pens move.') }}</p>
        @endif
        @include('plans.running')
        <div class="home-ways {{ $plans->isEmpty() ? '' : 'has-plans' }}">
            @if ($plans->isNotEmpty())
                <section class="card-paper" aria-labelledby="way-plans">
                    <div class="home-plans-head">
                        <h2 id="way-plans">{{ __('Teach now') }}</h2>
                        <a href="{{ route('plans') }}">{{ __('All plans') }}</a>
                    </div>
                    <ul class="plan-list is-dense">
                        @foreach ($plans as $plan) @include('plans.card') @endforeach
                    </ul>
                </section>
            @endif
            <section class="card-paper" aria-labelledby="way-student">
                <h2 id="way-student">{{ __('I am a student') }}</h2>
                <form action="{{ route('join') }}" method="get">
                    <label for="code">{{ __('Join code') }}</label>
                    <input id="code" name="code" class="form-control code-field" required maxlength="12"
                        autocomplete="off"
                           autocapitalize="characters" spellcheck="false" placeholder="______"
                               aria-describedby="code-help">
                    <p id="code-help" class="form-text">{{ __('Six characters, on the class screen.') }}</p>
                    <button class="btn btn-go btn-lg w-100">{{ __('Join') }}</button>
                </form>
            </section>
            <section class="card-paper" aria-labelledby="way-teacher">
                <h2 id="way-teacher">{{ $plans->isEmpty() ? __('I teach') : __('Start without a plan') }}</h2>
                @if (! $mayTeach)
                    <p>{{ __('Teachers sign in here first.') }}</p>
                    <p class="mb-0"><a class="btn btn-slate btn-lg w-100"
                        href="{{ route('account') }}">{{ __('Sign in') }}</a></p>
                @else
                <form action="{{ route('start') }}" method="post" novalidate>
                    @csrf
                    <div class="mb-2">
                        <x-field name="name" :words="__('Your name, as students see it')" maxlength="60" required
                            autocomplete="name" value="{{ old('name', $teacher?->name) }}" />
                    </div>
                    <div class="mb-3">
                        <x-field name="title" :words="__('What’s it about?')" maxlength="80" required autocomplete="off"
                            value="{{ old('title') }}" />
                    </div>
                    <button class="btn btn-slate btn-lg w-100">{{ __('Start a session') }}</button>
                </form>
                <div class="mt-3">
                    @include('plans.from-file', ['words' => __('Begin with a worksheet'), 'class' => 'w-100'])
                </div>
                @if ($plans->isEmpty()) <p class="mt-3 mb-0"><a class="btn btn-outline-slate w-100"
                    href="{{ route('plans') }}"><x-icon name="journal-plus" />
                    {{ __('Your plans and classes') }}</a></p> @endif
                @endif
            </section>
        </div>
        @include('sessions', ['heading' => __('Ended'), 'sessions' => $ended])
        <p class="mt-4"><a href="{{ route('kept') }}">{{ __('What is kept') }}</a></p>
    </main>
</x-layout>
