@php($isOfAll = $me->school_id === null)
<x-layout :title="$school->name" class="home">
    <x-teacher-bar here="schools" />
    <main class="container-lg py-4">
        <x-said />
        @if ($isOfAll)<p class="mb-1"><a href="{{ route('schools') }}">{{ __('All schools') }}</a></p>@endif
        <h1>{{ $school->name }}</h1>
        @if ($school->going_at !== null)
            <p class="alert alert-warning">{{ __('This school is being deleted.') }}</p>
        @endif
        <div class="schools-table" tabindex="0" role="region" aria-label="{{ __('How much is used') }}">
            <table>
                <caption class="visually-hidden">{{ __('How much this school uses') }}</caption>
                <thead>
                    <tr>
                        <th scope="col">{{ __('Teachers') }}</th>
                        <th scope="col">{{ __('Running now') }}</th>
                        <th scope="col">{{ __('Sessions in :n days', ['n' => App\Schools\Usage::DAYS]) }}</th>
                        <th scope="col">{{ __('Students in those') }}</th>
                        <th scope="col">{{ __('Work, in MB') }}</th>
                    </tr>
                </thead>
                <tbody><tr>@include('schools.numbers', ['used' => $usage])</tr></tbody>
            </table>
        </div>
        <div class="home-ways schools-ways">
            <section class="card-paper" aria-labelledby="school-teachers">
                <h2 id="school-teachers">{{ __('Who may teach') }}</h2>
                @if (session('link'))
                    <p class="alert alert-success" role="status">
                        <label for="invitation-link">{{ __('Send this link to one person. It works once, within 7 days, and isn’t shown again.') }}</label>
                        <input id="invitation-link" class="form-control" readonly value="{{ session('link') }}">
                    </p>
                @endif
                @if ($teachers->isEmpty())
                    <p>{{ __('Nobody yet. Make an invitation and send its link to a teacher.') }}</p>
                @else
                    <ul class="session-list">
                        @foreach ($teachers as $teacher)
                            <li>
                                <span><b>{{ $teacher->name }}</b>
                                    <span class="form-text">{{ $teacher->email }}@if ($teacher->isAdministrator()),
                                        {{ __('looks after this school') }}@endif
                                    @if ($teacher->stopped_at !== null), {{ __('can’t teach') }}@endif</span></span>
                                @if ($teacher->stopped_at !== null)
                                    <form method="post"
                                        action="{{ route('school.teacher.again', [$school, $teacher]) }}">@csrf
                                        <button class="btn btn-sm btn-outline-slate"
                                            aria-label="{{ __('Let :name teach again', ['name' => $teacher->name]) }}">{{ __('Let teach again') }}</button></form>
                                @elseif (! $teacher->is($me))
                                    <form method="post"
                                        action="{{ route('school.teacher.stop', [$school, $teacher]) }}"
                                        data-ask="{{ __('Stop :name from teaching here? Everything they made stays.',
                                            ['name' => $teacher->name]) }}">@csrf
                                        <button class="btn btn-sm btn-outline-danger"
                                            aria-label="{{ __('Stop :name from teaching here', ['name' => $teacher->name]) }}">{{ __('Stop') }}</button></form>
                                @endif
                            </li>
                        @endforeach
                    </ul>
                @endif
                <form method="post" action="{{ route('school.invite', $school) }}" class="mt-3">
                    @csrf
                    <button class="btn btn-go w-100 mb-2" name="role"
                        value="teacher">{{ __('Invite a teacher') }}</button>
                    <button class="btn btn-outline-slate w-100" name="role"
                        value="administrator">{{ __('Invite someone to look after this school') }}</button>
                </form>
            </section>
            <section class="card-paper" aria-labelledby="school-rules">
                <h2 id="school-rules">{{ __('Settings') }}</h2>
                <form method="post" action="{{ route('school.change', $school) }}">
                    @csrf
                    <x-field name="keep_days" type="number" min="0"
                        :max="Crag\Session\Life\Retention::LONGEST_DAYS"
                        :words="__('Keep work for this many days after a session, at most')"
                        :hint="__('Teachers can choose fewer. Leave it empty for :n days. 0 deletes it at the end.', ['n' => $usualDays])"
                        :value="old('keep_days', $school->keep_days)" />
                    <label for="domains" class="mt-2">{{ __('E-mail addresses of teachers here end with') }}</label>
                    <textarea id="domains" name="domains" class="form-control @error('domains') is-invalid @enderror" rows="2"
                        maxlength="2000" @error('domains') aria-describedby="domains-problem" @enderror
                        placeholder="sillbeck.example">{{ old('domains', $school->domains) }}</textarea>
                    @error('domains') <p id="domains-problem" class="problem" role="alert">{{ $message }}</p> @enderror
                    <p class="form-text">{{ __('Anyone who can read e-mail at such an address can get an invitation by themselves. Leave it empty if only your invitations should count.') }}</p>
                    <button class="btn btn-go w-100">{{ __('Save') }}</button>
                </form>
            </section>
            @if ($isOfAll)
                <section class="card-paper" aria-labelledby="school-limits">
                    <h2 id="school-limits">{{ __('How much it may use') }}</h2>
                    <form method="post" action="{{ route('school.limit', $school) }}">
                        @csrf
                        <x-field name="name" :words="__('Name')" maxlength="100" required autocomplete="off"
                            :value="old('name', $school->name)" />
                        <x-field name="most_teachers" type="number" min="0" :words="__('Teachers')"
                            :value="old('most_teachers', $school->most_teachers)" />
                        <x-field name="most_sessions" type="number" min="0" :words="__('Sessions at once')"
                            :value="old('most_sessions', $school->most_sessions)" />
                        <x-field name="most_megabytes" type="number" min="0" :words="__('Work, in MB')"
                            :hint="__('Leave a number empty for as much as there is.')"
                            :value="old('most_megabytes', $school->most_megabytes)" />
                        <button class="btn btn-go w-100">{{ __('Save') }}</button>
                    </form>
                </section>
            @endif
            <section class="card-paper" aria-labelledby="school-export">
                <h2 id="school-export">{{ __('Everything in one file') }}</h2>
                <p>{{ __('Plans, class lists, and every session with its results and canvases, in open formats. It holds names and students’ work: keep it as you keep those.') }}</p>
                @if ($school->export_state?->isUnderWay())
                    <p role="status">{{ __('Being put together: :n of :all.', ['n' => $school->export_done, 'all' => $school->export_total]) }}
                        <a href="{{ route('school', $school) }}">{{ __('Look again') }}</a></p>
                @elseif ($school->export_state === App\Jobs\JobState::Failed)
                    <p class="problem" role="alert">{{ __('The file couldn’t be made.') }}</p>
                @elseif ($school->exported_at !== null)
                    <p><a class="btn btn-slate w-100" href="{{ route('school.export.file', $school) }}">{{ __('Save the file from :date', [
                        'date' => App\Live\SchoolTime::of($school->exported_at)->translatedFormat('j F Y, H:i')]) }}</a></p>
                @endif
                @unless ($school->export_state?->isUnderWay())
                    <form method="post" action="{{ route('school.export', $school) }}">@csrf
                        <button class="btn btn-outline-slate w-100">{{ __('Put it together') }}</button></form>
                @endunless
            </section>
            @if ($isOfAll)
                <section class="card-paper" aria-labelledby="school-delete">
                    <h2 id="school-delete">{{ __('Delete this school') }}</h2>
                    <p>{{ __('Its teachers’ accounts, plans and classes, and their sessions with everything students did in them. Nothing can be brought back.') }}</p>
                    <form method="post" action="{{ route('school.delete', $school) }}">
                        @csrf @method('DELETE')
                        <x-field name="sure" :words="__('Type :school to go on', ['school' => $school->name])" maxlength="100"
                            required autocomplete="off" />
                        <button class="btn btn-end w-100 mt-2">{{ __('Delete this school') }}</button>
                    </form>
                </section>
            @endif
        </div>
    </main>
</x-layout>
