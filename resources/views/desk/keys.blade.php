@php($keys = [
    '← ↑ → ↓' => __('from tile to tile'), 'Enter' => __('close-up'), '0 1 2 3' => __('check: No attempt, Not yet, Nearly, Secure'),
    'Del' => __('take the check away'), 'S' => __('show on the class screen, without the name'), 'H' => __('hand out'), 'N' => __('names on this desk: Real, Stone, None'),
    'P' => __('pens down, and up again'), 'T' => __('timer'), 'G' => __('gather everybody at the prompt that you look at'), 'F' => __('lead canvas, and back to the grid'), 'D' => __('door and seats'), 'W' => __('write to this student'),
    'Esc' => __('close what is open'), '?' => __('these keys'),
])
<section id="keys" class="panel" aria-labelledby="keys-title" hidden>
    <div class="panel-head">
        <h2 id="keys-title" tabindex="-1">{{ __('Keys') }}</h2>
        <button class="btn btn-icon ms-auto" data-close title="{{ __('Close (Esc)') }}"><x-icon name="x-lg" /><span class="visually-hidden">{{ __('Close') }}</span></button>
    </div>
    <dl class="keys">
        @foreach ($keys as $key => $does)
            <dt><kbd>{{ $key }}</kbd></dt><dd>{{ $does }}</dd>
        @endforeach
    </dl>
</section>
