<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\CurrentTeacher;
use App\Models\LiveSession;
use App\Models\Roster;
use App\Models\Seat;
use App\Sessions\Standings;
use Crag\Checks\OverTime;
use Crag\Classes\ClassEntry;
use Crag\Classes\ClassList;
use Crag\Formats\Csv;
use Crag\Formats\UnreadableFile;
use Crag\Session\InvalidName;
use Crag\Session\PersonName;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** A teacher's class lists. */
final class ClassesController
{
    private const MOST_SESSIONS = 12;

    private const MOST_BYTES = 1024 * 1024;

    public function index(Request $request): View
    {
        return view('classes.classes', [
            'rosters' => CurrentTeacher::found($request)->rosters()->withCount('entries')->get(),
        ]);
    }

    /** A new class, of pasted names or of a file. */
    public function make(Request $request): RedirectResponse
    {
        $request->validate(['name' => ['required', 'string', 'max:60']], [], ['name' => __('name of the class')]);
        $entries = $this->listed($request);
        $roster = DB::transaction(function () use ($request, $entries): Roster {
            $roster = CurrentTeacher::found($request)->rosters()->create(['name' => $request->string('name')->trim()->toString()]);
            $this->put($roster, $entries);

            return $roster;
        });

        return redirect()->route('class', $roster);
    }

    public function show(Request $request, string $roster): View
    {
        $found = $this->own($request, $roster);

        return view('classes.class', ['roster' => $found, 'entries' => $found->entries()->get()]);
    }

    /** More names, beside those that are there; one that is there already is left as it is. */
    public function add(Request $request, string $roster): RedirectResponse
    {
        $found = $this->own($request, $roster);
        $entries = $this->listed($request);
        DB::transaction(fn () => $this->put($found, $entries));

        return redirect()->route('class', $found)->with('said', __('The names are in the list.'));
    }

    /** The whole table as the page shows it: every row's name, seat, group and PIN; rows without a name are taken out. */
    public function change(Request $request, string $roster): RedirectResponse
    {
        $found = $this->own($request, $roster);
        $request->validate(['name' => ['required', 'string', 'max:60']], [], ['name' => __('name of the class')]);
        $rows = $this->rows($request, $found);
        DB::transaction(static function () use ($request, $found, $rows): void {
            $found->update(['name' => $request->string('name')->trim()->toString()]);
            $found->entries()->whereNotIn('id', array_keys($rows))->delete();
            // Seats may change places: first out of each other's way.
            $found->entries()->update(['n' => DB::raw('n + 100000')]);
            foreach ($rows as $id => $row) {
                $found->entries()->whereKey($id)->update($row);
            }
        });

        return redirect()->route('class', $found)->with('said', __('The list is saved.'));
    }

    /** A PIN for each, so that nobody takes another's name. */
    public function pins(Request $request, string $roster): RedirectResponse
    {
        $found = $this->own($request, $roster);
        foreach ($found->entries()->get() as $entry) {
            $entry->update(['pin' => $request->boolean('none') ? '' : sprintf('%04d', random_int(0, 9999))]);
        }

        return redirect()->route('class', $found)->with('said', $request->boolean('none') ? __('Nobody needs a PIN now.') : __('Everybody has a PIN now: read them out or print them.'));
    }

    /** What its sessions say of each skill, one after the other. */
    public function sessions(Request $request, string $roster): View
    {
        $found = $this->own($request, $roster);
        $sessions = LiveSession::query()->where('roster_id', $found->id)->where('is_trial', false)->latest()->limit(self::MOST_SESSIONS)->get()->reverse()->values();
        $time = OverTime::of($sessions->mapWithKeys(static function (LiveSession $session): array {
            $stand = Standings::of($session);

            return [$session->id => ['picture' => $stand->picture, 'students' => $stand->seats->whereNotNull('roster_entry_id')->mapWithKeys(static fn (Seat $seat): array => [$seat->id => (string) $seat->roster_entry_id])->all()]];
        })->all());

        return view('classes.over-time', ['roster' => $found, 'sessions' => $sessions, 'time' => $time, 'entries' => $found->entries()->get()]);
    }

    public function csv(Request $request, string $roster): Response
    {
        $found = $this->own($request, $roster);
        $rows = [[__('Seat'), __('Name'), __('Group')]];
        foreach ($found->entries()->get() as $entry) {
            $rows[] = [$entry->n, $entry->name, $entry->group];
        }
        $name = Str::slug($found->name) ?: 'class';

        return response(Csv::write($rows))->withHeaders(['Content-Type' => 'text/csv; charset=UTF-8', 'Content-Disposition' => "attachment; filename=\"{$name}.csv\""]);
    }

    public function delete(Request $request, string $roster): RedirectResponse
    {
        $found = $this->own($request, $roster);
        $found->delete();

        return redirect()->route('classes')->with('said', __('The class “:name” is deleted. Work from its sessions stays.', ['name' => $found->name]));
    }

    private function own(Request $request, string $roster): Roster
    {
        return CurrentTeacher::found($request)->rosters()->findOrFail($roster);
    }

    /** @return list<ClassEntry> */
    private function listed(Request $request): array
    {
        $file = $request->file('file');
        $bytes = $file !== null && ! is_array($file) && $file->isValid() ? (string) file_get_contents($file->getPathname(), length: self::MOST_BYTES + 1) : $request->string('names')->toString();
        try {
            return strlen($bytes) > self::MOST_BYTES ? throw UnreadableFile::notText() : ClassList::read($bytes)->entries;
        } catch (UnreadableFile $problem) {
            throw ValidationException::withMessages(['names' => __($problem->getMessage())]);
        }
    }

    /** @param  list<ClassEntry>  $entries */
    private function put(Roster $roster, array $entries): void
    {
        $names = $roster->entries()->pluck('name')->map(static fn (mixed $name): string => mb_strtolower(is_string($name) ? $name : ''))->all();
        $seats = $roster->entries()->pluck('n')->all();
        $free = 1;
        foreach ($entries as $entry) {
            if (in_array(mb_strtolower($entry->name), $names, true)) {
                continue;
            }
            if (count($seats) >= ClassList::MOST) {
                throw ValidationException::withMessages(['names' => __('A class has room for :n names.', ['n' => ClassList::MOST])]);
            }
            for ($n = $entry->n; in_array($n, $seats, true); $n = $free++) {
                continue;
            }
            $seats[] = $n;
            $roster->entries()->create(['n' => $n, 'name' => $entry->name, 'group' => $entry->group]);
        }
    }

    /** @return array<string, array{n: int, name: string, group: string, pin: string}> by the entry's id */
    private function rows(Request $request, Roster $roster): array
    {
        $rows = $seats = [];
        $given = $request->array('entries');
        foreach ($roster->entries()->get() as $entry) {
            $row = is_array($given[$entry->id] ?? null) ? array_map(static fn (mixed $cell): string => is_string($cell) ? trim($cell) : '', $given[$entry->id]) : null;
            if ($row === null || ($row['name'] ?? '') === '') {
                continue;
            }
            try {
                $name = PersonName::read($row['name'])->value;
            } catch (InvalidName $problem) {
                throw ValidationException::withMessages(['entries' => "{$row['name']}: ".__($problem->getMessage())]);
            }
            $n = (int) ($row['n'] ?? $entry->n);
            if ($n < 1 || $n > ClassList::HIGHEST_SEAT || isset($seats[$n])) {
                throw ValidationException::withMessages(['entries' => __('Seat :n is there twice, or is no number from 1 to :most.', ['n' => $row['n'] ?? '', 'most' => ClassList::HIGHEST_SEAT])]);
            }
            $pin = $row['pin'] ?? '';
            if (preg_match('/^(\d{4,6})?$/', $pin) !== 1) {
                throw ValidationException::withMessages(['entries' => __('A PIN has four to six digits: :name', ['name' => $name])]);
            }
            $seats[$n] = true;
            $rows[$entry->id] = ['n' => $n, 'name' => $name, 'group' => mb_substr($row['group'] ?? '', 0, ClassList::LONGEST_GROUP), 'pin' => $pin];
        }

        return $rows;
    }
}
