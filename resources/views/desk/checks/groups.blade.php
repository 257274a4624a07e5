{{-- Proposed groups: each student can be put into another before they are kept. --}}
@if ($groups === [])
    <p class="form-text">{{ __('Nobody is here to group.') }}</p>
@else
    @if ($left > 0) <p
        class="form-text">{{ trans_choice('{1} :count student is away and left out.|[2,*] :count students are away and left out.',
        $left) }}</p> @endif
    <ol class="groups-list">
        @foreach ($groups as $i => $group)
            <li class="group" data-group="{{ $i }}"><h4 class="h6">{{ __('Group :n', ['n' => $i + 1]) }}</h4>
                <label class="group-place">{{ __('Where') }} <input class="form-control form-control-sm" maxlength="40"
                    dir="auto" placeholder="{{ __('Table :n', ['n' => $i + 1]) }}"
                    value="{{ $places[$i] ?? '' }}"></label>
                <p class="form-text" dir="auto">{{ __($group->sentence, $group->values) }}</p>
                <ul>
                    @foreach ($group->students as $id)
                        <li class="group-student" draggable="true" data-seat="{{ $id }}"><span
                            class="group-name"><x-seat-name :seat="$seats[$id]" /></span>
                            <select class="form-select form-select-sm group-of"
                                aria-label="{{ __('Group of :name',
                                ['name' => $seats[$id]->name]) }}">@foreach (array_keys($groups) as $n)<option
                                value="{{ $n }}" @selected($n === $i)>{{ $n + 1 }}</option>@endforeach</select></li>
                    @endforeach
                </ul></li>
        @endforeach
    </ol>
    <div class="panel-row">
        <button class="btn btn-go" data-do="keep-groups">{{ __('Keep these groups') }}</button>
        @if ($mayShow) <button class="btn btn-outline-slate" data-do="show-groups"><x-icon name="easel" />
            {{ __('Keep and show to the class') }}</button> @endif
    </div>
@endif
