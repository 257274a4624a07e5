<x-layout :title="__('Join')" class="home">
    <x-bar />
    <main class="container-sm narrow py-4">
        <section class="card-paper">
            @if ($session !== null)
                <h1>{{ $session->title }}</h1>
                <p>{{ __('with :teacher', ['teacher' => $session->teacher_name]) }}</p>
            @else
                <h1>{{ __('Join a session') }}</h1>
            @endif
            <form action="{{ route('join.in') }}" method="post" novalidate>
                @csrf
                {{-- Enter in a field joins with what was typed, not as the first of the class list. --}}
                <button class="visually-hidden" tabindex="-1" aria-hidden="true">{{ __('Join') }}</button>
                @php($codeProblem = $problem ?? $errors->first('code'))
                <div class="mb-3">
                    <label for="code">{{ __('Join code') }}</label>
                    <input id="code" name="code" class="form-control code-field {{ $codeProblem ? 'is-invalid' : '' }}"
                        required maxlength="12"
                           autocomplete="off" autocapitalize="characters" spellcheck="false"
                               value="{{ old('code', $code) }}"
                           @if ($codeProblem) aria-describedby="code-problem" autofocus @endif>
                    @if ($codeProblem) <p id="code-problem" class="problem" role="alert">{{ $codeProblem }}</p> @endif
                </div>
                @if ($session !== null && $entries->isNotEmpty())
                    @include('student.names')
                @endif
                <div class="mb-3">
                    <label for="name">{{ match (true) {
                        $session === null || $entries->isEmpty() => __('Your name'),
                        $session->door->needsClassList() => __('Not on the list? Type your name to knock'),
                        default => __('Not on the list? Type your name'),
                    } }}</label>
                    <input id="name" name="name" class="form-control @error('name') is-invalid @enderror" required
                        maxlength="60" dir="auto"
                           autocomplete="off" value="{{ old('name') }}" @if ($session !== null && $entries->isEmpty())
                               autofocus @endif
                           @error('name') aria-describedby="name-problem" @enderror>
                    @error('name') <p id="name-problem" class="problem" role="alert">{{ $message }}</p> @enderror
                    <p
                        class="form-text">{{ __('Your teacher sees this name next to your canvas. Other students can’t see your canvas.') }}
                        <a href="{{ route('kept') }}">{{ __('What is kept') }}</a></p>
                </div>
                @if ($session !== null && $session->openUntil() !== null)
                    <p>{{ __('Open until :date. Go on whenever you like, with the same link.',
                    ['date' => $session->openUntil()]) }}</p> @endif
                <button class="btn btn-go btn-lg w-100">{{ __('Join') }}</button>
                @if ($session !== null && App\Accounts\SchoolAccount::isThere())
                    @error('account') <p class="problem" role="alert">{{ $message }}</p> @enderror
                    <a class="btn btn-outline-slate w-100 mt-2" href="{{ route('join.account', $code) }}"><x-icon
                        name="person-lock" /> {{ __('Sign in with :account',
                        ['account' => App\Accounts\SchoolAccount::name()]) }}</a>
                @endif
                @if ($session !== null)
                    <details class="mt-3" @error('seat_code') open @enderror>
                        <summary>{{ __('I was on another device') }}</summary>
                        <x-field name="seat_code" class="code-field" :words="__('Seat code')" maxlength="12" autocomplete="off"
                            autocapitalize="characters" spellcheck="false" />
                        <p
                            class="form-text">{{ __('Your other device shows it under More, “Another device”. If you can’t get to it, join with the same name and your teacher can let you back to your work.') }}</p>
                        <button class="btn btn-outline-slate w-100">{{ __('Carry on here') }}</button>
                    </details>
                @endif
            </form>
        </section>
    </main>
</x-layout>
