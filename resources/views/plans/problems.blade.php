{{-- What students would trip over, before a plan is tried or started. $plan --}}
@php($problems = $plan->present()->values()->flatMap(fn ($prompt,
    $i) => array_map(fn ($problem) => __('Prompt :n: :problem', ['n' => $i + 1, 'problem' => __($problem)]),
    $prompt->value()->problems())))
@if ($problems->isNotEmpty())
    <div class="problem plan-warnings" role="status">
        <b>{{ __('Fix this before the class sees it:') }}</b>
        <ul>@foreach ($problems as $problem)<li>{{ $problem }}</li>@endforeach</ul>
        <a href="{{ route('plan', $plan) }}">{{ __('Fix it in the plan') }}</a>
    </div>
@endif
