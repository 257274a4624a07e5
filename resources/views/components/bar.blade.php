<header class="bar">
    <a class="bar-home" href="{{ route('home') }}"><img src="/crag.svg" alt="" width="28" height="28"> Crag</a>
    {{ $slot }}
</header>
