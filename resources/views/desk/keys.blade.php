@php($keys = [
    '← ↑ → ↓' => __('from tile to tile'), 'Enter' => __('close-up'), 'X' => __('choose this tile, or not'),
        'Shift+← →' => __('choose on the way'), 'Ctrl+A' => __('choose all that are shown'),
    '0 1 2 3' => __('check: No attempt, Not yet, Nearly, Secure'), 'Del' => __('take the check away'),
        'Q' => __('check pass: one canvas after the other, one key each'),
        'S' => __('what the class sees, and take it down'), 'J' => __('into the line-up'), '[ ]' => __('show the one before, the next one'),
        'U' => __('draw over what the class sees'), 'E' => __('what students offer'), 'H' => __('hand out'),
        'W' => __('write to this student'), 'A' => __('quick ask'), 'M' => __('class picture and next groups'),
    'V' => __('compare what is chosen'), 'K' => __('pick a student'), 'B' => __('Shield: hide everything on this desk'),
        'Z' => __('the part that is drawn on, or whole pages'), '+ −' => __('larger and smaller tiles'), 'N' => __('names on this desk: names, seat numbers, hidden'),
    'P' => __('pens down for everyone, and up again'), 'Y' => __('who is waiting'), 'I' => __('what was done, and undo it'), 'T' => __('timer'),
        'G' => __('bring everyone to the prompt you’re looking at'), 'F' => __('lead canvas, and back to the grid'),
        'D' => __('door and seats'),
    'Esc' => __('close what is open, choose nothing'), '?' => __('these keys'),
])
@php($close = ['← →' => __('the one before, the next one'), 'C' => __('coach ink'), 'O' => __('private notes'),
    'R' => __('Replay'), 'L' => __('as it was when a teacher last looked'),
    'V' => __('compare with an earlier moment')])
<x-panel id="keys" :title="__('Keys')">
    @foreach (['' => $keys, __('In the close-up') => $close] as $title => $some)
        @if ($title !== '') <h3 class="h6">{{ $title }}</h3> @endif
        <dl class="keys">
            @foreach ($some as $key => $does)
                <dt><kbd>{{ $key }}</kbd></dt><dd>{{ $does }}</dd>
            @endforeach
        </dl>
    @endforeach
</x-panel>
