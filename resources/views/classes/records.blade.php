<x-layout :title="__('Classes from your school’s records')" class="home">
    <x-teacher-bar here="classes" />
    <main class="container-sm narrow py-4">
        <x-said />
        <h1>{{ __('Which classes are yours?') }}</h1>
        <form method="post" action="{{ route('records.take') }}">
            @csrf
            @error('classes') <p class="problem" role="alert">{{ $message }}</p> @enderror
            <fieldset>
                <legend class="visually-hidden">{{ __('Classes') }}</legend>
                @foreach ($classes as $class)
                    <x-choice name="classes[]" value="{{ $class->id }}"
                        :checked="in_array($class->id, $there, true)"> <b dir="auto">{{ $class->title }}</b>
                        {{ trans_choice('{1} :count student|[2,*] :count students', count($class->students)) }}
                        @if (in_array($class->id, $there, true)) · {{ __('on your list: will be updated') }} @endif
                    </x-choice>
                @endforeach
            </fieldset>
            <p class="form-text">{{ __('New students are added and those who’ve left are taken off. Seat numbers, groups and PINs stay as you set them.') }}</p>
            <button class="btn btn-go">{{ __('Take these classes') }}</button>
            <a class="btn btn-outline-slate" href="{{ route('classes') }}">{{ __('Cancel') }}</a>
        </form>
    </main>
</x-layout>
