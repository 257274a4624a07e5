@php($tray = $current->trayInForce()->now)
<section id="tools" class="panel" aria-labelledby="tools-title" hidden>
    <div class="panel-head">
        <h2 id="tools-title" tabindex="-1">{{ __('Tools for students') }}</h2>
        <button class="btn btn-icon ms-auto" data-close title="{{ __('Close (Esc)') }}"><x-icon name="x-lg" /><span
            class="visually-hidden">{{ __('Close') }}</span></button>
    </div>
    <form hx-post="{{ route('desk.tray', $session) }}" hx-swap="none">
        <fieldset>
            <legend>{{ __('Tool tray') }}</legend>
            @foreach (Crag\Prompt\Tray\TrayKind::cases() as $kind)
                <label class="choice"><input type="radio" name="tray" value="{{ $kind->value }}"
                    @checked($kind === $tray->kind)> <b>{{ __($kind->word()) }}</b>
                    <span class="form-text">{{ $kind === Crag\Prompt\Tray\TrayKind::Custom ? __('what is ticked below')
                        : implode(', ', array_map(fn ($tool) => __($tool->word()), $kind->tools())) }}</span></label>
            @endforeach
        </fieldset>
        <fieldset class="custom-tools">
            <legend>{{ __('Custom') }}</legend>
            @foreach (Crag\Prompt\Tray\Tool::cases() as $tool)
                @if ($tool !== Crag\Prompt\Tray\Tool::Picture && $tool !== Crag\Prompt\Tray\Tool::Pages)
                    <label class="choice"><input type="checkbox" name="tools[]" value="{{ $tool->value }}"
                        @checked($tray->has($tool))> {{ __($tool->word()) }}</label>
                @else
                    <input type="hidden" name="tools[]" value="{{ $tool->value }}">
                @endif
            @endforeach
        </fieldset>
        <label class="choice"><input type="checkbox" name="pictures" value="1"
            @checked($tray->has(Crag\Prompt\Tray\Tool::Picture) || $tray->kind === Crag\Prompt\Tray\TrayKind::Starter)>
            {{ __('Students can add pictures') }}</label>
        <label class="choice"><input type="checkbox" name="pages" value="1"
            @checked($tray->has(Crag\Prompt\Tray\Tool::Pages) || ! in_array(Crag\Prompt\Tray\Tool::Pages,
            $tray->kind->tools(), true))> {{ __('Students can add pages') }}</label>
        <fieldset>
            <legend>{{ __('For') }}</legend>
            <label class="choice"><input type="radio" name="for" value="session" checked>
                {{ __('The whole session') }}</label>
            <label class="choice"><input type="radio" name="for" value="prompt"> {{ __('Only this prompt') }}</label>
        </fieldset>
        <p class="form-text">{{ __('Open pages change at once. What was drawn stays.') }}</p>
        <p id="tools-problem" class="problem" role="alert"></p>
        <button class="btn btn-go btn-lg w-100">{{ __('Give these tools') }}</button>
    </form>
</section>
