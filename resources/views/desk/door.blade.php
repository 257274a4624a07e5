<section id="door" class="panel" aria-labelledby="door-title" hidden>
    <div class="panel-head">
        <h2 id="door-title" tabindex="-1">{{ __('How students join') }}</h2>
        <button class="btn btn-icon ms-auto" data-close title="{{ __('Close (Esc)') }}"><x-icon name="x-lg" /><span class="visually-hidden">{{ __('Close') }}</span></button>
    </div>
    <p class="door-code">{{ $session->code()->spaced() }}</p>
    <div class="door-qr" data-qr="{{ route('join', $session->join_code) }}" role="img" aria-label="{{ __('QR code with the join link') }}"></div>
    <p class="door-link">{{ route('join', $session->join_code) }}</p>
    <p><button class="btn btn-slate w-100" data-copy="{{ route('join', $session->join_code) }}" data-copied="{{ __('Copied') }}">{{ __('Copy the link') }}</button></p>
    @include('desk.missing')
    <hr>
    <h3 class="h6">{{ __('Your private return link') }}</h3>
    <p class="form-text">{{ __('It opens this desk on any device. Keep it to yourself: whoever has it runs the session.') }}</p>
    <p><button class="btn btn-outline-slate w-100" data-copy="{{ route('return', [$session, $session->return_key]) }}" data-copied="{{ __('Copied') }}">{{ __('Copy my return link') }}</button></p>
</section>
