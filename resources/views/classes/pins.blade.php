<x-layout :title="__('PINs for :name', ['name' => $roster->name])" class="home">
    <x-teacher-bar here="classes" />
    <main class="container-lg py-4">
        <div class="library-head not-printed">
            <h1>{{ __('PINs for :name', ['name' => $roster->name]) }}</h1>
            <a class="btn btn-outline-slate" href="{{ route('class', $roster) }}"><x-icon name="chevron-left" />
                {{ __('Back to the list') }}</a>
            <button class="btn btn-go" data-print><x-icon name="printer" /> {{ __('Print') }}</button>
        </div>
        <ul class="pin-slips">
            @foreach ($entries as $entry)
                <li class="pin-slip"><span>{{ $roster->name }} · {{ $entry->n }}</span>
                    <b dir="auto">{{ $entry->name }}</b> <span class="pin-slip-pin">{{ $entry->pin }}</span></li>
            @endforeach
        </ul>
    </main>
</x-layout>
