{{-- The stamps, one subject at a time. --}}
<div class="tray-group" data-for="stamps" role="group" aria-label="{{ __('Subject') }}">
    @foreach (Crag\Canvas\Drawing\StampArt::sets() as $set => [$word])
        <button class="chip" data-stamps="{{ $set }}" aria-pressed="{{ $loop->first ? 'true' : 'false' }}">{{ __($word)
            }}</button>
    @endforeach
</div>
@foreach (Crag\Canvas\Drawing\StampArt::sets() as $set => [$word, $stamps])
    <div class="tray-group" data-for="stamps" data-set="{{ $set }}" role="group" aria-label="{{ __($word) }}">
        @foreach ($stamps as $stamp)
            <button class="swatch" data-stamp="{{ $stamp }}"
                data-anchor="{{ implode(' ', Crag\Canvas\Drawing\StampArt::anchor($stamp)) }}" aria-pressed="false"
                aria-label="{{ __(Crag\Canvas\Drawing\StampArt::word($stamp)) }}"
                title="{{ __(Crag\Canvas\Drawing\StampArt::word($stamp)) }}"><svg viewBox="0 0 100 100"
                aria-hidden="true"><path d="{{ Crag\Canvas\Drawing\StampArt::all()[$stamp] }}" fill="none"
                stroke="currentColor" stroke-width="8" stroke-linecap="round" stroke-linejoin="round"/></svg></button>
        @endforeach
    </div>
@endforeach
