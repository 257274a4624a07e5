{{-- Who needs the teacher, the longest first, and what can be done about it. --}}
@use('App\Http\Pages\WaitingOne')
@use('Crag\Session\Rules\Deed')
<section id="waiting-all" class="waiting" aria-label="{{ __('Waiting for you') }}" @isset($swap) hx-swap-oob="true"
    @endisset>
    @if ($waiting->counts() !== '') <p class="waiting-counts">{{ $waiting->counts() }}</p> @endif
    @if ($waiting->count() === 0) <p
        class="waiting-none form-text">{{ __('Nobody is waiting. Hands, knocks, messages and offers stand here, the longest first.') }}</p> @endif
    @if ($waiting->knocking->isNotEmpty() && $session->carries_on_id !== null) <p
        class="waiting-note">{{ __('Students carry on with their earlier work here, so only let in people you know.') }}</p>
        @endif
    <ol class="waiting-list">
        @foreach ($waiting->all as $one)
            @php($seat = $one->seat)
            <li id="waiting-{{ $one->kind }}-{{ $seat->id }}-{{ $one->since }}"
                class="waiting-one {{ $one->kind === WaitingOne::KNOCKS ? 'is-knocking' : '' }} {{ $one->isComing() ? 'is-coming' : '' }}"
                data-kind="{{ $one->kind }}" data-seat="{{ $seat->id }}">
                <x-icon :name="['knocks' => 'door-open', 'hand' => 'hand-index', 'wrote' => 'chat-left-text',
                    'offers' => 'collection'][$one->kind]" />
                <span class="waiting-who"><span class="waiting-name">@if ($one->kind === WaitingOne::KNOCKS)
                    <span dir="auto">{{ $seat->name }}</span> @else <x-seat-name :seat="$seat" /> @endif</span>
                    <span class="waiting-since">{{ $one->word() }} ·
                        {{ $one->minutes() < 1 ? __('just now') : __(':n min', ['n' => $one->minutes()]) }}@if ($one->isComing())
                        · <b>{{ __('you’re coming') }}</b> @endif</span>
                    @if ($one->kind === WaitingOne::KNOCKS && $seat->isUnlisted()) <span
                        class="waiting-note">{{ __('not on the list') }}</span> @endif
                    @if ($seat->claims_id !== null && $one->kind === WaitingOne::KNOCKS) <span
                        class="waiting-note">{{ __('says: I’m :name',
                        ['name' => $seats->firstWhere('id', $seat->claims_id)?->name]) }}</span> @endif
                    @if ($one->note !== '') <span class="waiting-note" dir="auto">{{ Str::limit($one->note, 160) }}</span>
                        @endif</span>
                <span class="waiting-do">
                    @if ($one->kind === WaitingOne::KNOCKS)
                        @if ($seat->claims_id === null) <button class="btn btn-sm btn-go"
                            data-post="/desk/{{ $session->id }}/let-in"
                            data-body="{{ json_encode(['seats' => [$seat->id]]) }}">{{ __('Let in') }}</button>
                        @else @include('desk.room.who-is-it') @endif
                        <button class="btn btn-sm btn-outline-slate" data-do="door"
                            title="{{ __('The door, and who’s knocking') }}">{{ __('Door') }}</button>
                    @elseif ($one->kind === WaitingOne::OFFERS)
                        <button class="btn btn-sm btn-go" data-do="offers"
                            title="{{ __('See what’s offered, accept or decline') }}">{{ __('Look') }}</button>
                        <button class="btn btn-sm btn-outline-slate" data-do="open-seat"
                            data-seat="{{ $seat->id }}">{{ __('Open') }}</button>
                    @else
                        <button class="btn btn-sm btn-go" data-do="talk" data-seat="{{ $seat->id }}"
                            title="{{ __('What was written, and an answer') }}">{{ __('Answer') }}</button>
                        <button class="btn btn-sm btn-outline-slate" data-do="open-seat"
                            data-seat="{{ $seat->id }}">{{ __('Open') }}</button>
                        @if ($one->kind === WaitingOne::HAND && ! $one->isComing()) <button
                            class="btn btn-sm btn-outline-slate" data-post="/desk/{{ $session->id }}/hand"
                            data-body="{{ json_encode(['seat' => $seat->id, 'coming' => true]) }}"
                            title="{{ __('The student is told; the hand stays here') }}">{{ __('Coming') }}</button> @endif
                        <button class="btn btn-sm btn-outline-slate" data-post="/desk/{{ $session->id }}/hand"
                            data-body="{{ json_encode(['seat' => $seat->id]) }}">{{ __('Done') }}</button>
                    @endif
                </span>
            </li>
        @endforeach
    </ol>
    @if ($waiting->knocking->count() > 1) <button class="btn btn-sm btn-outline-slate"
        data-post="/desk/{{ $session->id }}/let-in" data-body='{"all":true}'>{{ __('Let all :n in',
        ['n' => $waiting->knocking->count()]) }}</button> @endif
    @if ($waiting->sent->isNotEmpty())
        <h3 class="h6 waiting-head">{{ __('Sent work, not looked at yet') }}</h3>
        <ol class="waiting-list">
            @foreach ($waiting->sent as $one)
                <li id="waiting-sent-{{ $one->seat->id }}-{{ $one->prompt }}" class="waiting-one is-sent"
                    data-kind="sent" data-seat="{{ $one->seat->id }}">
                    <x-icon name="check2-all" />
                    <span class="waiting-who"><span class="waiting-name"><x-seat-name :seat="$one->seat" /></span>
                        <span class="waiting-since">{{ __('Prompt :n',
                            ['n' => $prompts->firstWhere('id', $one->prompt)?->n]) }} ·
                            {{ $one->minutes() < 1 ? __('just now') : __(':n min', ['n' => $one->minutes()]) }}</span></span>
                    <span class="waiting-do"><button class="btn btn-sm btn-outline-slate" data-do="open-work"
                        data-seat="{{ $one->seat->id }}" data-prompt="{{ $one->prompt }}">{{ __('Open') }}</button></span>
                </li>
            @endforeach
        </ol>
    @endif
</section>
