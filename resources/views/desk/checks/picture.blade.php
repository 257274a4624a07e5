{{-- Where everybody stands, and who works with whom next. --}}
<section id="picture" class="compare picture" aria-labelledby="picture-title" hidden>
    <div class="closeup-head">
        <h2 id="picture-title" tabindex="-1">{{ __('Class picture') }}</h2>
        <span class="panel-state">{{ __('Unchecked work isn’t counted') }}</span>
        <button class="btn btn-outline-slate ms-auto" data-do="close-picture">{{ __('Back') }}
            <kbd>{{ __('Esc') }}</kbd></button>
    </div>
    <div class="picture-inner">
        <div id="picture-body" class="picture-body" tabindex="0" role="region"
            aria-label="{{ __('Seats and prompts') }}"></div>
        <aside class="picture-side" aria-labelledby="groups-title">
            <h3 id="groups-title" class="h6">{{ __('Next groups') }}</h3>
            <form id="groups-form">
                <div class="settings-row ask-row">
                    <label>{{ __('Groups of') }} <input name="size" type="number" class="form-control"
                        min="{{ Crag\Groups\Grouping::LEAST }}" max="{{ Crag\Groups\Grouping::MOST }}"
                        value="3"></label>
                    <label>{{ __('By') }}
                        <select name="way" class="form-select">@foreach (Crag\Groups\Basis::cases() as $way)<option
                            value="{{ $way->value }}">{{ __($way->word()) }}</option>@endforeach</select></label>
                </div>
                <details><summary>{{ __('Keep together, keep apart') }}</summary>
                    <label for="groups-together">{{ __('Keep together: names with commas, one wish per line') }}</label>
                    <textarea id="groups-together" name="together" class="form-control mb-2" rows="2"
                        dir="auto"></textarea>
                    <label for="groups-apart">{{ __('Keep apart: names with commas, one wish per line') }}</label>
                    <textarea id="groups-apart" name="apart" class="form-control mb-2" rows="2" dir="auto"></textarea>
                </details>
                <x-choice name="absent" value="1">
                    {{ __('including those who are away') }}</x-choice>
                <p id="groups-problem" class="problem" role="alert"></p>
                <button class="btn btn-slate">{{ __('Make groups') }}</button>
            </form>
            <div id="groups-made"></div>
        </aside>
    </div>
</section>
