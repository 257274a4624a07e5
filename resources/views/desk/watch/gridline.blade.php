@use('Crag\Session\Rules\Deed')
@use('Crag\Watch\CanvasState')
<div class="gridline">
    <button id="rail-button" class="chip" data-do="rail" aria-expanded="false"><x-icon name="list" />
        {{ __('Prompts') }}</button>
    <div id="counts" class="counts" role="group" aria-label="{{ __('Show only') }}">
        <button class="count-filter" data-do="filter" data-filter="" data-state="" aria-pressed="true"><span class="shape"
            aria-hidden="true"></span>{{ __('All') }} <b class="count">0</b></button>
        @foreach (CanvasState::counted() as $state)
            <button class="count-filter" data-do="filter" data-filter="{{ $state->value }}"
                data-state="{{ $state->value }}" aria-pressed="false" @if ($state->isRare()) data-rare hidden @endif><span
                class="shape" aria-hidden="true"></span>{{ __($state->heading()) }} <b class="count">0</b></button>
        @endforeach
        <button id="count-knocking" class="count-filter" data-do="door" data-state="knocking" hidden><span class="shape"
            aria-hidden="true"></span>{{ __(CanvasState::Knocking->heading()) }} <b class="count">0</b></button>
    </div>
    <span id="connection" class="connection" role="status" hidden></span>
    <span id="stale" class="connection" data-state="stale" role="status" hidden></span>
    <span id="colleagues" class="chip chip-quiet colleagues" title="{{ __('Other teachers at this session') }}" hidden><x-icon name="people" />
        <span></span></span>
    <button id="mine" class="chip" data-do="mine" aria-pressed="false" hidden
        title="{{ __('Show just the students you’ve taken on') }}"><x-icon name="person-check" /> {{ __('Mine') }}
        <b class="count"></b></button>
    <button id="tasks-all" class="chip" data-do="choose-seats" data-seat=""
        title="{{ __('Choose those who still have some to do') }}" hidden></button>
    <button id="held" class="chip chip-attention" data-do="go-on"
        title="{{ __('Go on with the live view. Nothing was lost.') }}" hidden><x-icon name="play-circle" />
        <span></span></button>
    <button id="tally" class="tally" data-do="picture" title="{{ __('Class picture and next groups (M)') }}"><span
        class="visually-hidden">{{ __('Class picture. Checks of this prompt:') }}</span>
        @foreach (array_reverse(Crag\Checks\Level::cases()) as $level)
            <span data-level="{{ $level->value }}" title="{{ __($level->word()) }}"><x-strata :level="$level->value"
                /><span class="visually-hidden">{{ __($level->word()) }}</span> <b class="count">0</b></span>
        @endforeach
    </button>
    <button id="pass-button" class="chip" data-do="pass"
        title="{{ __('Check pass: one canvas after the other, one key each (Q)') }}"><x-icon name="check2-all" />
        {{ __('Check all') }}</button>
    <button id="order-again" class="chip chip-attention" data-do="order-again" hidden
        title="{{ __('The order, or what’s shown, has changed in the meantime') }}"><x-icon name="arrow-clockwise" />
        {{ __('Sort again') }}</button>
    <x-menu id="view-menu" class="view-menu" button="chip" :title="__('Sorting, page and size of the tiles')">
        <x-slot:head><x-icon name="sliders" /> {{ __('View') }}</x-slot>
        <div class="menu menu-fields">
        <label class="gridline-field">{{ __('Page') }}
            <select id="pages-shown" class="form-select form-select-sm">
                <option value="theirs">{{ __('theirs') }}</option>
                <option value="all">{{ __('all') }}</option>
            </select>
        </label>
        <label class="gridline-field">{{ __('Sort') }}
            <select id="sort" class="form-select form-select-sm">
                @foreach (['seat' => __('by seat'), 'name' => __('by name'), 'state' => __('by state'),
                    'last' => __('by last stroke'), 'amount' => __('by amount'),
                    'check' => __('by check')] as $sort => $word)
                    <option value="{{ $sort }}">{{ $word }}</option>
                @endforeach
            </select>
        </label>
        <label class="gridline-field" title="{{ __('Smaller and larger tiles (− and +)') }}">{{ __('Size') }} <input id="size" type="range" min="132" max="420" step="8"
            value="420"></label>
        <button id="hold" class="menu-item" data-do="hold" aria-pressed="false"
            title="{{ __('The grid stands still. Students go on, and nothing is lost.') }}"><x-icon name="pause-circle" />
            {{ __('Hold the live view') }}</button>
        </div>
    </x-menu>
    <button id="drawn-part" class="chip" data-do="drawn-part" aria-pressed="false"
        title="{{ __('Only the part of each page that is drawn on, larger; or the whole page (Z)') }}"><x-icon name="zoom-in" /><span
        class="visually-hidden">{{ __('Only the part that is drawn on') }}</span></button>
    <button id="pick-button" class="chip" data-do="pick"
        title="{{ __('Pick a student: everyone gets a turn before anyone gets a second (K)') }}"><x-icon name="shuffle" />
        {{ __('Pick') }}</button>
    <button id="names" class="chip" data-do="names" @disabled(! $deeds->may(Deed::ChangeSettings))
        aria-pressed="{{ $settings->deskNames === Crag\Session\Door\NameMode::Names ? 'true' : 'false' }}"
        title="{{ __('Names on this desk; press for the next (N)') }}"><x-icon name="eye" /><span class="visually-hidden">{{ __('Names on this desk') }}: <span
        class="names-word">{{ __($settings->deskNames->word()) }}</span></span></button>
    <button id="shield-button" class="chip" data-do="shield" aria-pressed="false"
        title="{{ __('Shield: hide everything on this desk (B)') }}"><x-icon name="shield" /><span
        class="visually-hidden">{{ __('Shield') }}</span></button>
</div>
<div class="answer-line">
<label id="who-wrote" class="who-wrote" hidden><span>{{ __('Who wrote') }}</span> <input type="search"
    class="form-control" maxlength="60" autocomplete="off" autocapitalize="off" spellcheck="false" dir="auto"
    placeholder="720"> <output class="form-text"></output></label>
<div id="answer-groups" class="answer-groups" role="group" aria-label="{{ __('Answers, equal ones together') }}"
    hidden></div>
</div>
