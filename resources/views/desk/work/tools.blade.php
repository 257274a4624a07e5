@php($tray = $current->trayInForce()->now)
<x-panel id="tools" :title="__('Tools for students')">
    <form hx-post="{{ route('desk.tray', $session) }}" hx-swap="none">
        <fieldset>
            <legend>{{ __('Tool tray') }}</legend>
            @foreach (Crag\Prompt\Tray\TrayKind::cases() as $kind)
                <x-choice type="radio" name="tray" value="{{ $kind->value }}"
                    :checked="$kind === $tray->kind"> <b>{{ __($kind->word()) }}</b>
                    <span class="form-text">{{ $kind === Crag\Prompt\Tray\TrayKind::Custom ? __('what is ticked below')
                        : implode(', ', array_map(fn ($tool) => __($tool->word()), $kind->tools())) }}</span></x-choice>
            @endforeach
        </fieldset>
        <fieldset class="custom-tools">
            <legend>{{ __('Custom') }}</legend>
            @foreach (Crag\Prompt\Tray\Tool::cases() as $tool)
                @if ($tool !== Crag\Prompt\Tray\Tool::Picture && $tool !== Crag\Prompt\Tray\Tool::Pages)
                    <x-choice name="tools[]" value="{{ $tool->value }}"
                        :checked="$tray->has($tool)"> {{ __($tool->word()) }}</x-choice>
                @else
                    <input type="hidden" name="tools[]" value="{{ $tool->value }}">
                @endif
            @endforeach
        </fieldset>
        <x-choice name="pictures" value="1"
            :checked="$tray->has(Crag\Prompt\Tray\Tool::Picture) || $tray->kind === Crag\Prompt\Tray\TrayKind::Starter">
            {{ __('Students can add pictures') }}</x-choice>
        <x-choice name="pages" value="1"
            :checked="$tray->has(Crag\Prompt\Tray\Tool::Pages) || ! in_array(Crag\Prompt\Tray\Tool::Pages,
            $tray->kind->tools(), true)"> {{ __('Students can add pages') }}</x-choice>
        <fieldset>
            <legend>{{ __('For') }}</legend>
            <x-choice type="radio" name="for" value="session" checked>
                {{ __('The whole session') }}</x-choice>
            <x-choice type="radio" name="for" value="prompt"> {{ __('Only this prompt') }}</x-choice>
        </fieldset>
        <p class="form-text">{{ __('Open pages change at once. What was drawn stays.') }}</p>
        <p id="tools-problem" class="problem" role="alert"></p>
        <button class="btn btn-go btn-lg w-100">{{ __('Give these tools') }}</button>
    </form>
</x-panel>
