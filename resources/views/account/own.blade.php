{{-- What a teacher can change about themselves. Each part is a form of its own, and sends just that. --}}
<div class="home-ways">
    <section class="card-paper" aria-labelledby="own-name">
        <h2 id="own-name">{{ __('Your name') }}</h2>
        <form method="post" action="{{ route('account.name') }}">
            @csrf
            <x-field name="name" id="own-name-field" :words="__('Your name, as students see it')" maxlength="60" required autocomplete="name"
                :value="old('name', $teacher->name)" />
            <button class="btn btn-go w-100 mt-2">{{ __('Change the name') }}</button>
        </form>
    </section>
    @if ($teacher->hasAccount())
        <section class="card-paper" aria-labelledby="own-address">
            <h2 id="own-address">{{ __('E-mail') }}</h2>
            <form method="post" action="{{ route('account.address') }}">
                @csrf
                <x-field name="new_email" type="email" :words="__('New e-mail address')" maxlength="200" required
                    autocomplete="username" :value="old('new_email')" />
                <x-field name="address_password" type="password" :words="__('Your password')" maxlength="200" required
                    autocomplete="current-password" />
                <button class="btn btn-go w-100 mt-2">{{ __('Change the address') }}</button>
            </form>
        </section>
        <section class="card-paper" aria-labelledby="own-password">
            <h2 id="own-password">{{ __('Password') }}</h2>
            <form method="post" action="{{ route('account.password') }}">
                @csrf
                <x-field name="old_password" type="password" :words="__('Your password now')" maxlength="200" required
                    autocomplete="current-password" />
                <x-field name="new_password" type="password" :words="__('New password, ten characters or more')"
                    minlength="10" maxlength="200" required autocomplete="new-password" />
                <p class="form-text">{{ __('Your other devices are signed out.') }}</p>
                <button class="btn btn-go w-100">{{ __('Change the password') }}</button>
            </form>
        </section>
        <section class="card-paper" aria-labelledby="own-devices">
            <h2 id="own-devices">{{ __('Devices that are signed in') }}</h2>
            <ul class="session-list">
                @foreach ($devices as $device)
                    <li><span>{{ $device->word() }} @if ($device->token_hash === $here) <b>{{ __('(this one)') }}</b>
                        @endif <span class="form-text">{{ __('used :date',
                            ['date' => App\Live\SchoolTime::of($device->updated_at)->translatedFormat('j F Y')]) }}</span></span>
                        @if ($device->token_hash !== $here)
                            <form method="post" action="{{ route('account.devices') }}">@csrf
                                <button class="btn btn-sm btn-outline-slate" name="device"
                                    value="{{ $device->publicId() }}">{{ __('Sign out') }}</button></form>
                        @endif</li>
                @endforeach
            </ul>
            @if ($devices->count() > 2)
                <form method="post" action="{{ route('account.devices') }}">@csrf
                    <button class="btn btn-outline-slate w-100">{{ __('Sign out all the others') }}</button></form>
            @endif
        </section>
    @endif
    <section class="card-paper" aria-labelledby="own-delete">
        <h2 id="own-delete">{{ __('Delete everything') }}</h2>
        <p>{{ __('Your plans, your classes, and your sessions with everything students did in them. What you run or edit with a colleague stays with them. Nothing can be brought back.') }}</p>
        <form method="post" action="{{ route('account.delete') }}">
            @csrf @method('DELETE')
            @if ($teacher->hasAccount())
                <x-field name="delete_password" type="password" :words="__('Your password')" maxlength="200" required
                    autocomplete="current-password" />
            @else
                <x-choice name="sure" value="1"> {{ __('Yes, everything that was made on this device') }}</x-choice>
                @error('sure') <p class="problem" role="alert">{{ $message }}</p> @enderror
            @endif
            <button class="btn btn-end w-100 mt-2">{{ __('Delete everything') }}</button>
        </form>
    </section>
</div>
