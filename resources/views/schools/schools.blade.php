<x-layout :title="__('Schools')" class="home">
    <x-teacher-bar here="schools" />
    <main class="container-lg py-4">
        <x-said />
        <h1>{{ __('Schools') }}</h1>
        @if ($schools->isEmpty())
            <p>{{ __('No schools yet. Add the first one, then invite its teachers.') }}</p>
        @else
            <div class="schools-table" tabindex="0" role="region" aria-label="{{ __('How much is used') }}">
                <table>
                    <caption class="visually-hidden">{{ __('Schools, and how much each uses') }}</caption>
                    <thead>
                        <tr>
                            <th scope="col" class="is-name">{{ __('School') }}</th>
                            <th scope="col">{{ __('Teachers') }}</th>
                            <th scope="col">{{ __('Running now') }}</th>
                            <th scope="col">{{ __('Sessions in :n days', ['n' => App\Schools\Usage::DAYS]) }}</th>
                            <th scope="col">{{ __('Students in those') }}</th>
                            <th scope="col">{{ __('Work, in MB') }}</th>
                        </tr>
                    </thead>
                    <tbody>
                        @foreach ($schools as $school)
                            <tr>
                                <th scope="row">
                                    @if ($school->going_at === null)
                                        <a href="{{ route('school', $school) }}">{{ $school->name }}</a>
                                    @else
                                        {{ __(':school (being deleted)', ['school' => $school->name]) }}
                                    @endif
                                </th>
                                @include('schools.numbers', ['used' => $usage[$school->id], 'school' => $school])
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            </div>
        @endif
        <section class="card-paper narrow mt-4" aria-labelledby="school-new">
            <h2 id="school-new">{{ __('Add a school') }}</h2>
            <form method="post" action="{{ route('schools.make') }}">
                @csrf
                <x-field name="name" :words="__('Name')" maxlength="100" required autocomplete="off"
                    :value="old('name')" />
                <button class="btn btn-go w-100 mt-2">{{ __('Add the school') }}</button>
            </form>
        </section>
    </main>
</x-layout>
