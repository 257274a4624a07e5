<div id="{{ $as }}more-menu" class="menu more-menu" hidden>
    @unless ($lead) <p class="menu-note" id="who-am-i" dir="auto"></p> @endunless
    <button class="menu-item do-snap" id="{{ $as }}snap" aria-pressed="false"><x-icon name="magnet" />
        {{ __('Snap to points and the grid') }}</button>
    <button class="menu-item do-fingers" aria-pressed="false" hidden
        title="{{ __('On: fingers draw too. Off: fingers move the page, and the pen draws.') }}"><x-icon
        name="hand-index" /> {{ __('Fingers draw') }}</button>
    <button class="menu-item" data-keys><x-icon name="keyboard" /> {{ __('Keys') }}</button>
    <button class="menu-item list-objects" id="{{ $as }}list-objects"><x-icon name="list-ul" />
        {{ __('List of objects') }}</button>
    @unless ($lead)
        <button class="menu-item" id="talk-through" hidden><x-icon name="mic" /> {{ __('Explain aloud') }}</button>
        <button class="menu-item" id="talk-filmed" data-filmed hidden><x-icon name="camera-video" />
            {{ __('Explain with my camera') }}</button>
        <button class="menu-item" id="offer"><x-icon name="collection" /> {{ __('Offer to the class') }}</button>
        <button class="menu-item" id="keep-back" aria-pressed="false"><x-icon name="eye-slash" />
            {{ __('Please don’t show mine') }}</button>
        @isset($home)<a class="menu-item" id="take-home" href="{{ $home }}" target="_blank"
            rel="noopener"><x-icon name="download" /> {{ __('Take my work home') }}</a>@endisset
        <button class="menu-item" id="other-device"><x-icon name="phone" /> {{ __('Another device') }}</button>
        <button class="menu-item" id="leave-device"><x-icon name="box-arrow-right" /> {{ __('Leave this device') }}</button>
        <button class="menu-item" id="light" aria-pressed="false"><x-icon name="speedometer2" />
            <span class="light-word">{{ __('Light data') }}</span> <span class="light-rate"></span></button>
    @endunless
    <hr>
    <button class="menu-item" data-empty="ink" data-needs="eraser"><x-icon name="eraser" />
        {{ __('Clear the page: keep pictures and pieces') }}</button>
    <button class="menu-item" id="{{ $as }}empty" data-empty="all" data-needs="eraser"><x-icon name="trash3" />
        {{ __('Clear the page: everything of mine') }}</button>
    <hr>
    <button class="menu-item" data-file data-needs="picture"><x-icon name="upload" />
        {{ __('Add a picture, SVG or InkML') }}</button>
    @if ($files !== '')
    @foreach (['png' => __('Save as picture (PNG)'), 'svg' => __('Save as drawing (SVG)'),
        'pdf' => __('Save all pages (PDF)'), 'inkml' => __('Save the ink (InkML)')] as $format => $name)
        <a class="menu-item" data-format="{{ $format }}" data-address="{{ $files }}" download><x-icon name="download" />
            {{ $name }}</a>
    @endforeach
    @endif
</div>
