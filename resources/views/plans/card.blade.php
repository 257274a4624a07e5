@php($first = $plan->sequence[0] ?? null)
@php($class = $lastClass[$plan->id] ?? null)
<li class="plan-card">
    <a class="plan-card-picture" href="{{ route('plan', $plan) }}" tabindex="-1" aria-hidden="true">
        @if ($first !== null) <img src="{{ route('plan.picture', [$plan, $first]) }}?n={{ $plan->edit_count }}" alt=""
            width="176" height="110" loading="lazy"> @else <x-icon name="journal-plus" /> @endif
    </a>
    <div class="plan-card-words">
        <h2><a href="{{ route('plan', $plan) }}">{{ $plan->title }}</a></h2>
        <p>{{ trans_choice('{0} no prompts yet|{1} :count prompt|[2,*] :count prompts', count($plan->sequence)) }} ·
            {{ $plan->used_at === null ? __('not used yet') : __('last used :day',
                ['day' => App\Live\SchoolTime::of($plan->used_at)->translatedFormat('j F')]) }}
            @if ($plan->teacher_id !== $teacher->id) · {{ __('shared by :name', ['name' => $plan->teacher->name]) }}
                @endif</p>
        @isset($look) <p>@foreach ($plan->tags as $one) @include('plans.tag') @endforeach</p> @endisset
    </div>
    <div class="plan-card-do">
        @if ($plan->archived_at === null)
            <form method="post" action="{{ route('plan.start.now', $plan) }}">
                @csrf
                <input type="hidden" name="roster" value="{{ $class?->roster_id }}">
                <button class="btn btn-go"><x-icon name="play" />
                    {{ $class?->roster === null ? __('Start') : __('Start with :class',
                    ['class' => $class->roster->name]) }}</button>
            </form>
            @include('plans.start-with')
        @endif
        <x-menu button="btn btn-outline-slate">
<x-slot:head><x-icon name="three-dots" /><span
                class="visually-hidden">{{ __('More for :title', ['title' => $plan->title]) }}</span></x-slot>
            <div class="menu">
                <form method="post" action="{{ route('plan.duplicate', $plan) }}">@csrf
                    <button class="menu-item"><x-icon name="files" /> {{ __('Duplicate') }}</button></form>
                <a class="menu-item" href="{{ route('plan.zip', $plan) }}" download><x-icon name="box-arrow-up" />
                    {{ __('Download (zip)') }}</a>
                <a class="menu-item" href="{{ route('plan.pdf', $plan) }}" download><x-icon name="printer" />
                    {{ __('Print (PDF)') }}</a>
                <form method="post" action="{{ route('plan.archive', $plan) }}">@csrf @if ($plan->archived_at !== null)
                    <input type="hidden" name="restore" value="1"> @endif
                    <button class="menu-item"><x-icon name="archive" />
                        {{ $plan->archived_at === null ? __('To the archive')
                        : __('Back to the plans') }}</button></form>
                <form method="post" action="{{ route('plan.delete', $plan) }}"
                    data-ask="{{ $plan->teacher_id === $teacher->id
                    ? __('Delete “:title” with its :n prompts for good? Sessions that were started from it keep theirs.',
                    ['title' => $plan->title, 'n' => count($plan->sequence)])
                    : __('Remove “:title” from your list? Its owner keeps it.', ['title' => $plan->title]) }}">
                    @csrf @method('DELETE')
                    <button class="menu-item"><x-icon name="trash3" />
                        {{ $plan->teacher_id === $teacher->id ? __('Delete') : __('Remove from my list') }}</button></form>
            </div>
        </x-menu>
    </div>
</li>
