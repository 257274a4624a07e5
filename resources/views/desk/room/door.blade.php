@use('Crag\Session\Rules\Deed')
<x-panel id="door" :title="__('Door and seats')">
    @include('desk.room.doorway')
    <details class="door-join" @if ($seats->isEmpty()) open @endif>
        <summary>{{ __('How students join') }}</summary>
        <p class="door-code">{{ $session->code()->spaced() }}</p>
        <div class="door-qr" data-qr="{{ route('join', $session->join_code) }}" role="img"
            aria-label="{{ __('QR code with the join link') }}"></div>
        <p class="door-link">{{ route('join', $session->join_code) }}</p>
        <p class="panel-row">
            <button class="btn btn-slate"
                data-copy="{{ __('Join “:title” at :link or with the code :code',
                ['title' => $session->title, 'link' => route('join', $session->join_code),
                'code' => $session->code()->spaced()]) }}"
                data-copied="{{ __('Copied') }}">{{ __('Copy for a chat') }}</button>
            <button class="btn btn-outline-slate" data-copy="{{ route('join', $session->join_code) }}"
                data-copied="{{ __('Copied') }}">{{ __('Copy the link') }}</button>
            <button class="btn btn-outline-slate" data-do="big-code"><x-icon name="fullscreen" />
                {{ __('Large') }}</button>
            @if ($deeds->may(Deed::ChooseScreen)) <button class="btn btn-outline-slate" data-post="/desk/{{ $session->id }}/screen"
                data-body='{"view":"join"}'><x-icon name="easel" />
                {{ __('On the class screen') }}</button> @endif
        </p>
    </details>
    @include('desk.checks.missing')
    @if ($deeds->may(Deed::ChangeSettings))
        <details class="door-join">
            <summary>{{ __('A second teacher, and your other devices') }}</summary>
            <p
                class="form-text">{{ __('A helper can watch, coach, check and hand out to single students. A colleague can do everything you can.') }}</p>
            <p class="panel-row">
                <button class="btn btn-outline-slate"
                    data-copy="{{ route('beside', [$session, $session->helper_key]) }}"
                    data-copied="{{ __('Copied') }}">{{ __('Copy the link for a helper') }}</button>
                <button class="btn btn-outline-slate"
                    data-copy="{{ route('beside', [$session, $session->return_key]) }}"
                    data-copied="{{ __('Copied') }}">{{ __('Copy the link for a colleague') }}</button>
                <button class="btn btn-outline-slate"
                    data-copy="{{ route('return', [$session, $session->return_key]) }}"
                    data-copied="{{ __('Copied') }}">{{ __('Copy my return link') }}</button>
            </p>
            <p
                class="form-text">{{ __('Only give these to the people they’re for: anyone who has them can see the class.') }}</p>
        </details>
    @endif
</x-panel>
<dialog id="big-code" class="big-code" aria-label="{{ __('How students join') }}">
    <p>{{ __('Go to') }} <b>{{ request()->getHttpHost() }}</b> {{ __('and type the code') }}</p>
    <p class="big-code-letters">{{ $session->code()->spaced() }}</p>
    <div class="door-qr" data-qr="{{ route('join', $session->join_code) }}" role="img"
        aria-label="{{ __('QR code with the join link') }}"></div>
    <form method="dialog"><button class="btn btn-outline-slate">{{ __('Close') }}</button></form>
</dialog>
