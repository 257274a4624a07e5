@props(['here' => ''])
@php($looksAfter = App\Http\CurrentTeacher::of(request())?->isAdministrator() === true)
<header class="bar">
    <a class="bar-home" href="{{ route('home') }}"><img src="/crag.svg" alt="" width="28" height="28"> Crag</a>
    <nav class="bar-ways" aria-label="{{ __('Your pages') }}">
        @foreach (['plans' => __('Plans'), 'classes' => __('Classes'), 'account' => __('Account')] as $way => $name)
            <a href="{{ route($way) }}" @if ($here === $way) aria-current="page" @endif>{{ $name }}</a>
        @endforeach
        @if ($looksAfter)
            <a href="{{ route('schools') }}" @if ($here === 'schools') aria-current="page" @endif>{{ __('Schools') }}</a>
        @endif
    </nav>
</header>
