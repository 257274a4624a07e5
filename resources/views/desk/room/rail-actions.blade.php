{{-- What can be done with the prompt that the teacher looks at. --}}
@php($at = "/desk/{$session->id}/prompt/{$prompt->id}")
@php($pages = count($prompt->pagesValue()->pages))
<div class="rail-actions" data-actions="{{ $prompt->id }}" hidden>
    <button class="btn btn-sm btn-go" data-do="gather" data-prompt="{{ $prompt->id }}"
        title="{{ __('Bring everyone to this prompt (G)') }}">{{ __('Bring everyone here') }}</button>
    @if ($pages > 1)
        <div class="rail-steps" role="group" aria-label="{{ __('Bring everyone to a page') }}">
            @for ($page = 0; $page < $pages; $page++)
                <button class="rail-step" data-post="{{ $at }}/gather" data-body="{{ json_encode(['page' => $page]) }}"
                    title="{{ __('Bring everyone to page :n', ['n' => $page + 1]) }}">{{ $page + 1 }}<span
                    class="visually-hidden"> {{ __('is the page to bring everyone to') }}</span></button>
            @endfor
        </div>
    @endif
    @if ($prompt->isCovered() && $prompt->state->isSeen())
        <button class="btn btn-sm btn-slate" data-post="{{ $at }}/reveal" data-body="{}">{{ __('Reveal') }}</button>
    @endif
    @if ($prompt->state === Crag\Session\Room\PromptState::Open)
        <button class="rail-step" data-post="{{ $at }}/state" data-body='{"state":"closed"}'
            title="{{ __('Students can’t work on it any more') }}">{{ __('Close') }}</button>
    @else
        <button class="rail-step" data-post="{{ $at }}/state" data-body='{"state":"open"}'
            title="{{ __('Students can work on it') }}">{{ __('Open') }}</button>
    @endif
    @if ($prompt->id !== $current->id)
        @if ($prompt->state !== Crag\Session\Room\PromptState::Skipped)
            <button class="rail-step" data-post="{{ $at }}/state" data-body='{"state":"skipped"}'
                title="{{ __('Leave it out of this session') }}">{{ __('Skip') }}</button>
        @endif
        @if ($prompt->state->isSeen())
            <button class="rail-step" data-post="{{ $at }}/state" data-body='{"state":"unseen"}'
                title="{{ __('Students can’t see it any more; their work is kept') }}">{{ __('Hide') }}</button>
        @endif
    @endif
    <label class="rail-share"><span>{{ __('One canvas for') }}</span>
        <select class="form-select form-select-sm" name="sharing" data-to="{{ $at }}/share">
            @foreach (Crag\Prompt\Sharing::cases() as $case)<option value="{{ $case->value }}"
                @selected($case === $prompt->sharing())>{{ __($case->word()) }}</option>@endforeach
        </select></label>
    <div class="rail-steps">
        <button class="rail-step" data-post="{{ $at }}/move" data-body='{"by":-1}'
            @disabled($loop->first)><x-icon name="arrow-up" /><span
            class="visually-hidden">{{ __('Earlier') }}</span></button>
        <button class="rail-step" data-post="{{ $at }}/move" data-body='{"by":1}'
            @disabled($loop->last)><x-icon name="arrow-down" /><span
            class="visually-hidden">{{ __('Later') }}</span></button>
    </div>
</div>
