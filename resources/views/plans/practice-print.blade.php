<x-layout :title="$plan->title" class="home practice-print" script="plain">
    <main>
        <div class="library-head not-printed container-lg pt-3">
            <h1>{{ __('Practice sheets') }}</h1>
            <a class="btn btn-outline-slate" href="{{ route('plan', $plan) }}"><x-icon name="chevron-left" />
                {{ __('Back to the plan') }}</a>
            <button class="btn btn-go" data-print><x-icon name="printer" /> {{ __('Print') }}</button>
        </div>
        @foreach ($sheets as $n => $tasks)
            <section class="practice-paper">
                <h2>{{ $plan->title }}</h2>
                <p class="practice-name">{{ __('Name') }}: <b dir="auto">{{ $names[$n] ?: '' }}</b></p>
                <ol>
                    @foreach ($tasks as $task)
                        <li><span data-maths="{{ $task->words }}">{{ $task->words }}</span></li>
                    @endforeach
                </ol>
            </section>
        @endforeach
        @if ($withKey)
            @foreach ($sheets as $n => $tasks)
                <section class="practice-paper is-key">
                    <h2>{{ __('Key') }} · {{ $names[$n] ?: __('Seat :n', ['n' => $n]) }}</h2>
                    <ol>
                        @foreach ($tasks as $task)
                            <li><b>{{ $task->right }}</b> <span class="form-text"
                                data-maths="{{ implode(' · ', $task->steps) }}">{{ implode(' · ', $task->steps) }}</span></li>
                        @endforeach
                    </ol>
                </section>
            @endforeach
        @endif
    </main>
</x-layout>
