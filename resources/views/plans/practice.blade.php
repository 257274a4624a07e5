{{-- Tasks of which each student has their own: a family, which kinds, how hard, how many. --}}
<details id="practice">
    <summary>{{ __('Practice') }} <span id="practice-count" class="count"></span></summary>
    <p class="form-text">{{ __('Each student gets tasks with numbers of their own.') }}</p>
    <label for="practice-family">{{ __('Tasks about') }}</label>
    <select id="practice-family" class="form-select">
        <option value="">{{ __('No practice') }}</option>
        @foreach (Crag\Practice\Families::all() as $key => $family)<option value="{{ $key }}"
            data-kinds="{{ json_encode(array_map(fn (string $kind): string => __($kind), $family->kinds())) }}">{{ __($family->name()) }}</option>@endforeach
    </select>
    <div id="practice-settings" hidden>
        <div id="practice-kinds" class="practice-kinds" role="group" aria-label="{{ __('Kinds of task') }}"></div>
        <label for="practice-level">{{ __('How hard') }}</label>
        <select id="practice-level" class="form-select">
            <option value="1">{{ __('Easy') }}</option>
            <option value="2">{{ __('Middle') }}</option>
            <option value="3">{{ __('Hard') }}</option>
        </select>
        <label for="practice-n">{{ __('How many tasks') }}</label>
        <input id="practice-n" class="form-control" type="number" min="1" max="{{ Crag\Practice\PracticeSheet::MOST }}" step="1">
        <div class="panel-row mt-2">
            <button type="button" id="practice-look" class="btn btn-sm btn-outline-slate"><x-icon name="eye" />
                {{ __('Three students’ sheets') }}</button>
            <button type="button" id="practice-paper" class="btn btn-sm btn-outline-slate"><x-icon name="printer" />
                {{ __('Print sheets') }}</button>
        </div>
    </div>
    <p class="problem" role="alert" data-refused="practice" data-of="#practice-settings" hidden></p>
</details>
