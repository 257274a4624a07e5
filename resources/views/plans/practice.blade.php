{{-- Tasks of which each student has their own: a family, which kinds, how hard, how many. --}}
<details id="practice">
    <summary>{{ __('Practice') }} <span id="practice-count" class="count"></span></summary>
    <p class="form-text">{{ __('Each student gets tasks with numbers of their own.') }}</p>
    <label for="practice-family">{{ __('Tasks about') }}</label>
    <select id="practice-family" class="form-select">
        <option value="">{{ __('No practice') }}</option>
        @foreach (Crag\Practice\Families::all() as $key => $family)<option value="{{ $key }}"
            data-kinds="{{ json_encode(array_map(fn (string $kind): string => __($kind), $family->kinds())) }}">{{ __($family->name()) }}</option>@endforeach
        <option value="own">{{ __('A question of your own') }}</option>
    </select>
    <div id="practice-settings" hidden>
        <div id="practice-own" hidden>
            <label for="practice-words">{{ __('Your question') }}</label>
            <input id="practice-words" class="form-control" maxlength="500" dir="auto" autocomplete="off"
                placeholder="{{ __('A load of {a: 20..90} N hangs {b: 2..6} m from the support. Its moment?') }}">
            <label for="practice-right">{{ __('Right answer') }}</label>
            <input id="practice-right" class="form-control" maxlength="300" dir="ltr" autocomplete="off"
                spellcheck="false" placeholder="{{ __('{a*b} N m') }}">
            <label class="choice"><input type="checkbox" id="practice-letters">
                {{ __('The answer is an expression or an equation') }}</label>
        </div>
        <div id="practice-kinds" class="practice-kinds" role="group" aria-label="{{ __('Kinds of task') }}"></div>
        <div id="practice-hard"><label for="practice-level">{{ __('How hard') }}</label>
        <select id="practice-level" class="form-select">
            <option value="1">{{ __('Easy') }}</option>
            <option value="2">{{ __('Middle') }}</option>
            <option value="3">{{ __('Hard') }}</option>
        </select></div>
        <label for="practice-row">{{ __('Go on until this many in a row are right (0: all tasks at once)') }}</label>
        <input id="practice-row" class="form-control" type="number" min="0"
            max="{{ Crag\Practice\PracticeSheet::MOST_ROW }}" step="1">
        <div id="practice-following" hidden><label class="choice"><input type="checkbox" id="practice-follows">
            {{ __('Harder after right answers, easier after wrong ones') }}</label></div>
        <div id="practice-many"><label for="practice-n">{{ __('How many tasks') }}</label>
        <input id="practice-n" class="form-control" type="number" min="1" max="{{ Crag\Practice\PracticeSheet::MOST }}" step="1"></div>
        <div class="panel-row mt-2">
            <button type="button" id="practice-look" class="btn btn-sm btn-outline-slate"><x-icon name="eye" />
                {{ __('Three students’ sheets') }}</button>
            <button type="button" id="practice-paper" class="btn btn-sm btn-outline-slate"><x-icon name="printer" />
                {{ __('Print sheets') }}</button>
        </div>
    </div>
    <p class="problem" role="alert" data-refused="practice" data-of="#practice-settings" hidden></p>
</details>
