@php($share = fn (?float $secure): string => $secure === null ? '–' : round(100 * $secure).' %')
<x-layout :title="__('Sessions of :class', ['class' => $roster->name])" class="home">
    <x-teacher-bar here="classes" />
    <main class="container-lg py-4">
        <h1>{{ __('Sessions of :class', ['class' => $roster->name]) }}</h1>
        <p><a href="{{ route('class', $roster) }}">{{ __('The class list') }}</a></p>
        @if ($sessions->isEmpty())
            <p
                class="card-paper">{{ __('No sessions with this class are kept. Start a plan with it, and what you check appears here.') }}</p>
        @elseif ($time->skills === [])
            <p
                class="card-paper">{{ __('No prompt with skills has been checked yet. Tag skills in the plan, under “Look for”.') }}</p>
        @else
            <div class="over-time"><table class="picture-table">
                <caption>{{ __('Average for each skill, from what was checked (100 is Secure)') }}</caption>
                <thead><tr><th scope="col">{{ __('Skill') }}</th>@foreach ($sessions as $session)<th scope="col"><a
                    href="{{ route('desk', $session) }}">{{ $session->title }}</a><br><span
                    class="form-text">{{ App\Live\SchoolTime::of($session->created_at)->translatedFormat('j M Y')
                    }}</span></th>@endforeach</tr></thead>
                <tbody>
                    @foreach ($time->skills as $skill => $of)
                        <tr><th scope="row" dir="auto">{{ $skill }}</th>@foreach ($sessions as $session)<td
                            class="num">{{ $share($of[$session->id] ?? null) }}</td>@endforeach</tr>
                    @endforeach
                </tbody></table></div>
            @foreach ($time->skills as $skill => $of)
                <details class="mt-3"><summary><span dir="auto">{{ $skill }}</span>: {{ __('by student') }}</summary>
                    <div class="over-time"><table class="picture-table">
                        <thead><tr><th scope="col">{{ __('Student') }}</th>@foreach ($sessions as $session)<th
                            scope="col">{{ App\Live\SchoolTime::of($session->created_at)->translatedFormat('j M')
                            }}</th>@endforeach<th
                            scope="col">{{ __('Change') }}</th></tr></thead>
                        <tbody>@foreach ($entries as $entry)
                            @php($change = $time->change($skill, $entry->id))
                            <tr><th scope="row" dir="auto">{{ $entry->name }}</th>@foreach ($sessions as $session)<td
                                class="num">{{ $share($time->students[$skill][$entry->id][$session->id]
                                ?? null) }}</td>@endforeach
                                <td
                                    class="num">{{ $change === null ? '–'
                                    : ($change > 0 ? '+' : '').round(100 * $change) }}</td></tr>
                        @endforeach</tbody></table></div></details>
            @endforeach
        @endif
    </main>
</x-layout>
