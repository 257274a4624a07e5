<x-layout :title="__('Start :title', ['title' => $plan->title])" class="home">
    <x-teacher-bar here="plans" />
    <main class="container-sm narrow py-4">
        <section class="card-paper">
            <x-said />
            <h1>{{ __('Start “:title”', ['title' => $plan->title]) }}</h1>
            <p>{{ trans_choice('{0} It has no prompts yet: type them while you teach, and they go into the plan.|{1} It has :count prompt.|[2,*] It has :count prompts.',
                $prompts->count()) }}
                @php($minutes = $prompts->sum(fn ($prompt) => $prompt->value()->minutes ?? 0))
                    @if ($minutes > 0) {{ __('About :n minutes.', ['n' => $minutes]) }} @endif</p>
            @include('plans.problems')
            <form method="post" action="{{ route('plan.start.now', $plan) }}">
                @csrf
                @if ($teacher->name === '')
                    <div class="mb-3"><label for="name">{{ __('Your name, as students see it') }}</label>
                        <input id="name" name="name" class="form-control" maxlength="60" required
                            autocomplete="name"></div>
                @endif
                <fieldset class="mb-3">
                    <legend class="h6">{{ __('Class') }}</legend>
                    @foreach ($rosters as $roster)
                        <x-choice type="radio" name="roster" value="{{ $roster->id }}"
                            :checked="$roster->id === $last"> <b>{{ $roster->name }}</b>
                            <span
                                class="form-text">{{ __(':n names. Students tap theirs to join.',
                                ['n' => $roster->entries_count]) }}</span></x-choice>
                    @endforeach
                    <x-choice type="radio" name="roster" value="" :checked="$last === null">
                        <b>{{ __('No list') }}</b> <span
                        class="form-text">{{ __('students type their names') }}</span></x-choice>
                    <a class="form-text" href="{{ route('classes') }}">{{ __('Make a class list') }}</a>
                </fieldset>
                @php($tray = $rosters->firstWhere('id', $last)?->settings['tray'] ?? 'standard')
                <fieldset class="mb-3">
                    <legend class="h6">{{ __('Tools, unless a prompt has its own') }}</legend>
                    @foreach (Crag\Prompt\Tray\TrayKind::cases() as $kind)
                        @if ($kind !== Crag\Prompt\Tray\TrayKind::Custom)
                            <x-choice type="radio" name="tray" value="{{ $kind->value }}"
                                :checked="$kind->value === $tray"> <b>{{ __($kind->word()) }}</b>
                                <span
                                    class="form-text">{{ implode(', ',
                                    array_map(fn ($tool) => __($tool->word()), $kind->tools())) }}</span></x-choice>
                        @endif
                    @endforeach
                </fieldset>
                @php($settings = Crag\Session\Life\SessionSettings::read($rosters->firstWhere('id',
                    $last)?->settings['session'] ?? []))
                <fieldset class="mb-3">
                    <legend class="h6">{{ __('In the room') }}</legend>
                    <x-choice name="names" value="1"
                        :checked="$settings->deskNames === Crag\Session\Door\NameMode::Names">
                        {{ __('Names on the desk') }}</x-choice>
                    <x-choice name="messages" value="1"
                        :checked="$settings->messages"> {{ __('Messages between students and teachers') }}</x-choice>
                    <x-choice name="cover" value="1" :checked="$settings->cover">
                        {{ __('Work is covered until you reveal it') }}</x-choice>
                </fieldset>
                <button class="btn btn-go btn-lg w-100"><x-icon name="play" /> {{ __('Start the session') }}</button>
            </form>
        </section>
    </main>
</x-layout>
