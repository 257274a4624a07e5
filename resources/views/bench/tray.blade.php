@php($tools = [
    'pen' => ['pencil', __('Pen'), __('Pen'), 'P'],
    'highlighter' => ['highlighter', __('Marker'), __('Highlighter: marks under the ink'), 'H'],
    'eraser' => ['eraser', __('Eraser'), __('Eraser: whole lines or parts of them'), 'E'],
    'move' => ['arrows-move', __('Move'), __('Choose, move, turn, resize'), 'M'],
    'shapes' => ['pentagon', __('Shapes'), __('Lines, arrows and shapes'), 'S'],
    'text' => ['fonts', __('Text'), __('Text: tap where you want to write'), 'T'],
    'maths' => ['superscript', __('Maths'), __('A formula, set properly'), 'X'],
    'note' => ['sticky', __('Note'), __('Sticky note'), 'N'],
    'stamps' => ['award', __('Stamps'), __('Stamps'), 'A'],
    'picture' => ['image', __('Picture'), __('A picture from a file or the clipboard'), 'I'],
])
<nav id="{{ $as }}tray" class="tray" aria-label="{{ __('Tool tray') }}">
    <div class="tray-options">
        @include('bench.options')
    </div>
    <div class="tray-tools">
        <div class="tray-group" role="group" aria-label="{{ __('Tools') }}">
            @foreach ($tools as $tool => [$icon, $name, $title, $key])
                <button class="tool" data-tool="{{ $tool }}" data-needs="{{ $tool }}"
                    aria-pressed="{{ $loop->first ? 'true' : 'false' }}"
                    title="{{ $title }} ({{ ($isOnDesk ?? false) ? 'Shift+'
                    : '' }}{{ $key }})"><x-icon :name="$icon" /><span>{{ $name }}</span></button>
            @endforeach
        </div>
        <div class="tray-group" role="group" aria-label="{{ __('Steps') }}">
            <button class="tool do-undo" id="{{ $as }}undo" disabled
                title="{{ __('Undo (Ctrl+Z)') }}"><x-icon name="arrow-counterclockwise" /><span>{{ __('Undo') }}</span></button>
            <button class="tool do-redo" id="{{ $as }}redo" disabled
                title="{{ __('Redo (Ctrl+Y)') }}"><x-icon name="arrow-clockwise" /><span>{{ __('Redo') }}</span></button>
            <button class="tool do-fingers" aria-pressed="false" hidden
                title="{{ __('On: fingers draw too. Off: fingers move the page, and the pen draws.') }}"><x-icon name="hand-index" /><span>{{ __('Fingers draw') }}</span></button>
            <div class="menu-holder">
                <button class="tool open-more" id="{{ $as }}more" aria-expanded="false"
                    aria-controls="{{ $as }}more-menu"
                    title="{{ __('Empty, snapping, files') }}"><x-icon name="three-dots" /><span>{{ __('More') }}</span></button>
                @include('bench.menu')
            </div>
        </div>
    </div>
</nav>
