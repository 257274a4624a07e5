@use('Crag\Manipulative\ManipulativeKind')
@php($subjects = ['Number' => __('Number'), 'Algebra' => __('Algebra'), 'Measure' => __('Measure'),
    'Chance' => __('Chance'), 'Data' => __('Data'), 'Space' => __('Space'), 'Science' => __('Science and music'), 'Instrument' => __('Instruments')])
<div class="tray-group" data-for="pieces" role="group" aria-label="{{ __('Subject') }}">
    @foreach ($subjects as $subject => $word)
        <button class="chip" data-subject="{{ $subject }}"
            aria-pressed="{{ $loop->first ? 'true' : 'false' }}">{{ $word }}</button>
    @endforeach
</div>
@foreach ($subjects as $subject => $word)
    <div class="tray-group tray-pieces" data-for="pieces" data-set="{{ $subject }}" role="group"
        aria-label="{{ $word }}">
        @foreach (ManipulativeKind::cases() as $kind)
            @if ($kind->subject() === $subject)
                <button class="chip" data-piece="{{ $kind->value }}"
                    aria-pressed="{{ $kind === ManipulativeKind::FractionBar ? 'true' : 'false' }}">{{ __($kind->word()) }}</button>
            @endif
        @endforeach
    </div>
@endforeach
<form class="tray-group piece-settings" data-for="pieces" aria-label="{{ __('Settings of the piece') }}">
    <div class="piece-fields"></div>
    <label class="form-check piece-free"><input type="checkbox" class="form-check-input" name="free">
        {{ __('Students may change these settings') }}</label>
    <button class="btn btn-go piece-add"><x-icon name="plus-lg" /> {{ __('Put it on the page') }}</button>
    <button class="btn btn-go piece-change"><x-icon name="check2" /> {{ __('Begin anew with these') }}</button>
</form>
