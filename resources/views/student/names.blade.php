@error('pin') <p class="problem" role="alert">{{ $message }}</p> @enderror
@if ($chosen !== null && $chosen->pin !== '')
    <div class="mb-3 join-pin">
        <label for="pin">{{ __('PIN for :name', ['name' => $chosen->name]) }}</label>
        <input id="pin" name="pin" class="form-control code-field" inputmode="numeric" maxlength="6" autocomplete="off"
            autofocus>
        <button class="btn btn-go btn-lg w-100 mt-2" name="entry"
            value="{{ $chosen->id }}">{{ __('Join as :name', ['name' => $chosen->name]) }}</button>
        <p class="form-text"><a href="{{ route('join', $session->join_code) }}">{{ __('That’s not me') }}</a></p>
    </div>
@else
    <fieldset class="mb-3">
        <legend class="h6">{{ __('Tap your name') }}</legend>
        <div class="join-names">
            @foreach ($entries as $entry)
                @php($isTaken = in_array($entry->id, $taken, true))
                @php($look = 'join-name'.($isTaken ? ' is-taken' : ''))
                @if ($entry->pin !== '')
                    <a class="{{ $look }}" dir="auto"
                        href="{{ route('join', ['code' => $session->join_code,
                        'entry' => $entry->id]) }}">{{ $entry->name }} @if ($isTaken) <span
                        class="visually-hidden">{{ __('is already here') }}</span> @endif</a>
                @else
                    <button class="{{ $look }}" dir="auto" name="entry" value="{{ $entry->id }}" @if ($isTaken)
                        title="{{ __('You’re already here on another device. We’ve asked your teacher.') }}"
                        @endif>{{ $entry->name }} @if ($isTaken) <span
                        class="visually-hidden">{{ __('is already here') }}</span> @endif</button>
                @endif
            @endforeach
        </div>
    </fieldset>
@endif
