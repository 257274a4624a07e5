{{-- The classes that a plan can be started with, one press each. $plan, $rosters. --}}
<x-menu button="btn btn-outline-slate">
    <x-slot:head>{{ __('Start with…') }}</x-slot>
    <div class="menu">
        <form method="post" action="{{ route('plan.start.now', $plan) }}">
            @csrf
            @foreach ($rosters as $roster) <button class="menu-item" name="roster" value="{{ $roster->id }}"><x-icon name="people" />
                <span dir="auto">{{ $roster->name }}</span></button> @endforeach
            <button class="menu-item" name="roster" value=""><x-icon name="person" />
                {{ __('No class list: students type their names') }}</button>
        </form>
        <hr>
        <a class="menu-item" href="{{ route('plan.start', $plan) }}"><x-icon name="sliders" />
            {{ __('Choose tools and settings…') }}</a>
    </div>
</x-menu>
