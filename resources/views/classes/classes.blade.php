<x-layout :title="__('Classes')" class="home">
    <x-teacher-bar here="classes" />
    <main class="container-lg py-4">
        <x-said />
        <h1>{{ __('Classes') }}</h1>
        <p>{{ __('With a class list, students tap their name instead of typing it, you see who’s missing, and everyone has the same seat number each time. A name is all you need, and all that’s kept.') }}
            @if (App\Accounts\SchoolAccount::isThere())
                {{ __('Beside a name stands the account that the student signs in with, where you have it.') }} @endif</p>
        <div class="home-ways">
            <section class="card-paper" aria-labelledby="class-new">
                <h2 id="class-new">{{ __('A new class') }}</h2>
                <form method="post" action="{{ route('classes.make') }}" enctype="multipart/form-data">
                    @csrf
                    <label for="name">{{ __('Name of the class') }}</label>
                    <input id="name" name="name" class="form-control mb-2" maxlength="60" required
                        value="{{ old('name') }}" autocomplete="off">
                    <label for="names">{{ __('Names, one per line') }}</label>
                    <textarea id="names" name="names" class="form-control mb-2" rows="6"
                        dir="auto">{{ old('names') }}</textarea>
                    <label for="file">{{ __('or a file (CSV, OneRoster users.csv)') }}</label>
                    <input id="file" name="file" type="file" class="form-control mb-2" accept=".csv,.txt,.tsv,text/csv">
                    <p
                        class="form-text">{{ __('Columns can be in any order: name (or first name and surname), seat, group. Use commas, semicolons or tabs.') }}</p>
                    <button class="btn btn-go w-100">{{ __('Make the class') }}</button>
                </form>
            </section>
            <section class="card-paper" aria-labelledby="class-records">
                <h2 id="class-records">{{ __('From your school’s records') }}</h2>
                <form method="post" action="{{ route('records.bring') }}" enctype="multipart/form-data">
                    @csrf
                    <label for="records">{{ __('A OneRoster export (zip)') }}</label>
                    <input id="records" name="records" type="file" class="form-control mb-2" accept=".zip,application/zip"
                        required @error('records') aria-describedby="records-problem" @enderror>
                    @error('records') <p id="records-problem" class="problem" role="alert">{{ $message }}</p> @enderror
                    <p class="form-text">{{ __('You choose which classes are yours. Bring in a newer export to update them.') }}</p>
                    <button class="btn btn-outline-slate w-100">{{ __('Choose classes') }}</button>
                </form>
            </section>
            <section aria-labelledby="class-all">
                <h2 id="class-all" class="visually-hidden">{{ __('Your classes') }}</h2>
                @if ($rosters->isEmpty()) <p class="nobody">{{ __('No classes yet.') }}</p> @endif
                <ul class="session-list">
                    @foreach ($rosters as $roster)
                        <li><a href="{{ route('class', $roster) }}">{{ $roster->name }}</a>
                            <span>{{ trans_choice('{1} :count name|[0,*] :count names',
                            $roster->entries_count) }}</span></li>
                    @endforeach
                </ul>
            </section>
        </div>
    </main>
</x-layout>
