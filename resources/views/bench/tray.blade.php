@php($tools = [
    'pen' => ['pencil', __('Pen'), __('Pen'), 'P'],
    'highlighter' => ['highlighter', __('Marker'), __('Highlighter: marks under the ink'), 'H'],
    'eraser' => ['eraser', __('Eraser'), __('Eraser: whole lines or parts of them'), 'E'],
    'move' => ['arrows-move', __('Move'), __('Choose, move, turn, resize'), 'M'],
    'shapes' => ['pentagon', __('Shapes'), __('Lines, arrows and shapes'), 'S'],
    'text' => ['fonts', __('Text'), __('Text: tap where you want to write'), 'T'],
    'maths' => ['superscript', __('Maths'), __('A formula, set properly'), 'X'],
    'construct' => ['vector-pen', __('Construct'), __('Points, lines and circles that depend on each other'), 'G'],
    'pieces' => ['puzzle', __('Pieces'), __('Bars, blocks, a balance: things to count and measure with'), 'B'],
    'note' => ['sticky', __('Note'), __('Sticky note'), 'N'],
    'stamps' => ['award', __('Stamps'), __('Stamps'), 'A'],
    'picture' => ['image', __('Picture'), __('A picture from a file or the clipboard'), 'I'],
])
<nav id="{{ $as }}tray" class="tray" data-sentences="{{ json_encode((object) App\Http\Words\PieceWords::translated()) }}"
    aria-label="{{ __('Tool tray') }}">
    <nav class="bench-pages" aria-label="{{ __('Pages') }}">
        <button class="mini" data-page-step="-1" title="{{ __('Page before') }}"><x-icon name="chevron-left" /><span
            class="visually-hidden">{{ __('Page before') }}</span></button>
        <span class="bench-page" role="status"></span>
        <button class="mini" data-page-step="1" title="{{ __('Next page') }}"><x-icon name="chevron-right" /><span
            class="visually-hidden">{{ __('Next page') }}</span></button>
        <button class="mini" data-pages title="{{ __('All pages') }}"><x-icon name="grid" /><span
            class="visually-hidden">{{ __('All pages') }}</span></button>
        <button class="mini" data-needs="pages" data-add-page
            title="{{ __('Add a page') }}"><x-icon name="plus-lg" /><span
            class="visually-hidden">{{ __('Add a page') }}</span></button>
    </nav>
    <div class="tray-tools">
        <div class="tray-group" role="group" aria-label="{{ __('Tools') }}">
            @foreach ($tools as $tool => [$icon, $name, $title, $key])
                <button class="tool" data-tool="{{ $tool }}" data-needs="{{ $tool }}"
                    aria-pressed="{{ $loop->first ? 'true' : 'false' }}"
                    title="{{ $title }} ({{ ($isOnDesk ?? false) ? 'Shift+'
                    : '' }}{{ $key }})"><x-icon :name="$icon" /><span>{{ $name }}</span></button>
            @endforeach
            <button class="tool open-further" aria-expanded="false" aria-controls="{{ $as }}further"
                title="{{ __('More tools') }}" hidden><x-icon
                name="grid-3x3-gap" /><span>{{ __('Tools') }}</span></button>
        </div>
        <div class="tray-group" role="group" aria-label="{{ __('Steps') }}">
            <button class="tool do-undo" id="{{ $as }}undo" disabled
                title="{{ __('Undo (Ctrl+Z)') }}"><x-icon name="arrow-counterclockwise" /><span>{{ __('Undo') }}</span></button>
            <button class="tool do-redo" id="{{ $as }}redo" disabled
                title="{{ __('Redo (Ctrl+Y)') }}"><x-icon name="arrow-clockwise" /><span>{{ __('Redo') }}</span></button>
            <button class="tool do-fingers" aria-pressed="false" hidden
                title="{{ __('On: fingers draw too. Off: fingers move the page, and the pen draws.') }}"><x-icon name="hand-index" /><span>{{ __('Fingers') }}</span></button>
            <div class="menu-holder">
                <button class="tool open-more" id="{{ $as }}more" aria-expanded="false"
                    aria-controls="{{ $as }}more-menu"
                    title="{{ __('Empty, snapping, files') }}"><x-icon name="three-dots" /><span>{{ __('More') }}</span></button>
                @include('bench.menu')
            </div>
        </div>
    </div>
    <div class="bench-zoom" role="group" aria-label="{{ __('Zoom') }}">
        @unless ($lead)
            <button class="mini open-writing" data-writing="open" aria-pressed="false"
                title="{{ __('Writing window') }}"><x-icon name="input-cursor-text" /><span
                class="visually-hidden">{{ __('Writing window') }}</span></button>
        @endunless
        <button class="mini" data-zoom="out" title="{{ __('Smaller (−)') }}"><x-icon name="zoom-out" /><span
            class="visually-hidden">{{ __('Smaller') }}</span></button>
        <button class="mini bench-percent" data-zoom="fit" title="{{ __('The whole page (0)') }}"><span
            class="bench-percent-n">100 %</span><span
            class="visually-hidden">{{ __('See the whole page') }}</span></button>
        <button class="mini" data-zoom="in" title="{{ __('Larger (+)') }}"><x-icon name="zoom-in" /><span
            class="visually-hidden">{{ __('Larger') }}</span></button>
    </div>
    <button class="chip tray-finish" data-finish hidden><x-icon name="check2" />
        {{ __('Finish the shape') }}</button>
    <div id="{{ $as }}options" class="tray-options pop-up" role="group" aria-label="{{ __('Settings of the tool') }}"
        hidden>
        @include('bench.options')
    </div>
    <div id="{{ $as }}further" class="tray-further pop-up" role="group" aria-label="{{ __('More tools') }}" hidden></div>
</nav>
