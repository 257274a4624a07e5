<x-layout :title="$roster->name" class="home">
    <x-teacher-bar here="classes" />
    <main class="container-lg py-4">
        <x-said />
        <div class="library-head">
            <h1>{{ $roster->name }}</h1>
            <a class="btn btn-outline-slate"
                href="{{ route('class.sessions', $roster) }}"><x-icon name="clock-history" />
                {{ __('Sessions and skills') }}</a>
            <a class="btn btn-outline-slate" href="{{ route('class.csv', $roster) }}"
                download><x-icon name="download" /> {{ __('Save as CSV') }}</a>
            <form method="post" action="{{ route('class.pins', $roster) }}"
                @if ($entries->contains(fn ($entry) => $entry->pin !== ''))
                data-ask="{{ __('Give everyone a new PIN? Printed ones will stop working.') }}"
                @endif>@csrf <button class="btn btn-outline-slate"><x-icon name="person-lock" />
                {{ __('New PINs for all') }}</button></form>
            @if ($entries->contains(fn ($entry) => $entry->pin !== ''))
                <a class="btn btn-outline-slate"
                    href="{{ route('class.pins.print', $roster) }}"><x-icon name="printer" />
                    {{ __('Print the PINs') }}</a>
                <form method="post" action="{{ route('class.pins', $roster) }}"
                    data-ask="{{ __('Remove all the PINs? Anyone will be able to tap any name.') }}">@csrf
                    <input type="hidden" name="none" value="1"> <button
                    class="btn btn-outline-slate">{{ __('No PINs') }}</button></form>
            @endif
            <form method="post" action="{{ route('class.delete', $roster) }}"
                data-ask="{{ __('Delete the class “:name” with its :n names? Work from its sessions stays.',
                ['name' => $roster->name, 'n' => $entries->count()]) }}">@csrf @method('DELETE')
                <button class="btn btn-outline-danger">{{ __('Delete the class') }}</button></form>
        </div>
        <form method="post" action="{{ route('class.change', $roster) }}" data-only-changed>
            @csrf
            <label for="name">{{ __('Name of the class') }}</label>
            <input id="name" name="name" class="form-control narrow mb-3" maxlength="60" required
                value="{{ $roster->name }}">
            <table class="class-table">
                <caption class="visually-hidden">{{ __('Names') }}</caption>
                <thead><tr><th scope="col">{{ __('Seat') }}</th><th scope="col">{{ __('Name') }}</th><th
                    scope="col">{{ __('Group') }}</th><th scope="col">{{ __('PIN') }}</th>
                    @if ($hasAccounts) <th scope="col">{{ __('Account') }}</th> @endif <td></td></tr></thead>
                <tbody>
                    @foreach ($entries as $entry)
                        @php($problem = $errors->first("entries.{$entry->id}"))
                        <tr @if ($problem !== '') class="is-refused" @endif>
                            <td><input name="entries[{{ $entry->id }}][n]" class="form-control" inputmode="numeric"
                                maxlength="3" value="{{ old("entries.{$entry->id}.n", $entry->n) }}"
                                data-before="{{ $entry->n }}" aria-label="{{ __(':name’s seat',
                                ['name' => $entry->name]) }}"></td>
                            <td><input name="entries[{{ $entry->id }}][name]" class="form-control" maxlength="60"
                                dir="auto" value="{{ old("entries.{$entry->id}.name", $entry->name) }}"
                                data-before="{{ $entry->name }}"
                                aria-label="{{ __('Name in seat :n', ['n' => $entry->n]) }}"></td>
                            <td><input name="entries[{{ $entry->id }}][group]" class="form-control" maxlength="40"
                                dir="auto" value="{{ old("entries.{$entry->id}.group", $entry->group) }}"
                                data-before="{{ $entry->group }}"
                                aria-label="{{ __('Group of :name', ['name' => $entry->name]) }}"></td>
                            <td><input name="entries[{{ $entry->id }}][pin]" class="form-control" inputmode="numeric"
                                maxlength="6" value="{{ old("entries.{$entry->id}.pin", $entry->pin) }}"
                                data-before="{{ $entry->pin }}"
                                aria-label="{{ __('PIN for :name', ['name' => $entry->name]) }}"></td>
                            @if ($hasAccounts) <td><input name="entries[{{ $entry->id }}][account]" class="form-control"
                                maxlength="{{ Crag\Classes\ClassList::LONGEST_ACCOUNT }}" autocomplete="off" spellcheck="false"
                                value="{{ old("entries.{$entry->id}.account", $entry->account) }}"
                                data-before="{{ $entry->account }}"
                                aria-label="{{ __('Account of :name', ['name' => $entry->name]) }}"></td> @endif
                            <td class="class-row-problem">@if ($problem !== '') <p class="problem">{{ $problem }}</p>
                                @endif</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <p
                class="form-text">{{ __('Clear a name to take it off the list. Anyone who has already joined keeps their seat.') }}</p>
            <button class="btn btn-go">{{ __('Save the list') }}</button>
        </form>
        <form class="mt-4 narrow" method="post" action="{{ route('class.add', $roster) }}"
            enctype="multipart/form-data">
            @csrf
            <h2>{{ __('More names') }}</h2>
            <label for="names">{{ __('Names, one per line') }}</label>
            <textarea id="names" name="names" class="form-control mb-2" rows="3" dir="auto"></textarea>
            <label for="file">{{ __('or a file (CSV, OneRoster users.csv)') }}</label>
            <input id="file" name="file" type="file" class="form-control mb-2" accept=".csv,.txt,.tsv,text/csv">
            <button class="btn btn-outline-slate">{{ __('Add them') }}</button>
        </form>
    </main>
</x-layout>
