<x-layout :title="__('Try :title', ['title' => $plan->title])" class="try" script="try">
    <header class="bar try-bar">
        <a class="btn btn-paper" href="{{ route('plan', $plan) }}"><x-icon name="chevron-left" />
            {{ __('Back to the plan') }}</a>
        <h1 class="try-title">{{ __('As a student: :title', ['title' => $plan->title]) }}</h1>
        <div role="group" aria-label="{{ __('Device') }}">
            @foreach (['390x844' => ['phone', __('Phone')], '844x390' => ['phone', __('Phone, across')],
                '820x1100' => ['tablet', __('Tablet')], '1280x720' => ['laptop', __('Laptop')]] as $size => [$icon,
                $name])
                <button class="btn btn-paper" data-device="{{ $size }}"
                    aria-pressed="{{ $loop->first ? 'true' : 'false' }}"><x-icon :name="$icon" /> {{ $name }}</button>
            @endforeach
        </div>
        <div role="group" aria-label="{{ __('Prompt') }}">
            @foreach ($prompts as $prompt)
                <button class="btn btn-paper" data-try-prompt="{{ route('desk.gather', [$session, $prompt]) }}"
                    aria-pressed="{{ $prompt->id === $session->prompt_id ? 'true' : 'false' }}"><span
                    class="visually-hidden">{{ __('Prompt') }}</span> {{ $prompt->n }}</button>
            @endforeach
        </div>
    </header>
    @include('plans.problems')
    <main class="try-stage">
        <div class="try-device"><iframe class="try-frame" title="{{ __('A student’s page') }}"
            src="{{ route('plan.try.student', [$plan, $session]) }}" width="390" height="844"></iframe></div>
    </main>
</x-layout>
