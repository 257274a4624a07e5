@props(['here' => ''])
<header class="bar">
    <a class="bar-home" href="{{ route('home') }}"><img src="/crag.svg" alt="" width="28" height="28"> Crag</a>
    <nav class="bar-ways" aria-label="{{ __('Your pages') }}">
        @foreach (['plans' => __('Plans'), 'classes' => __('Classes'), 'account' => __('Account')] as $way => $name)
            <a href="{{ route($way) }}" @if ($here === $way) aria-current="page" @endif>{{ $name }}</a>
        @endforeach
    </nav>
</header>
