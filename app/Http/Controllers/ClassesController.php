<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\SchoolAccount;
use App\Accounts\TakeClasses;
use App\Http\CurrentTeacher;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\Teachers\Roster;
use App\Sessions\Checks\ClassOverview;
use Crag\Checks\OverTime;
use Crag\Classes\ClassEntry;
use Crag\Classes\ClassList;
use Crag\Classes\ClassRow;
use Crag\Classes\FreeSeats;
use Crag\Formats\Csv;
use Crag\Formats\UnreadableFile;
use Crag\Session\Door\InvalidName;
use Crag\Session\Door\PersonName;
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
        $list = $this->listed($request);
        $roster = DB::transaction(function () use ($request, $list): Roster {
            $roster = CurrentTeacher::found($request)
                ->rosters()
                ->create(['name' => $request->string('name')->trim()->toString()]);
            $this->put($roster, $list->entries);

            return $roster;
        });

        return redirect()->route('class', $roster)->withErrors(self::left($list));
    }

    public function show(Request $request, string $roster): View
    {
        $found = $this->own($request, $roster);

        return view('classes.class', [
            'roster' => $found,
            'entries' => $found->entries()->get(),
            'hasAccounts' => SchoolAccount::isThere(),
        ]);
    }

    /** More names, beside those that are there; one that is there already is left as it is. */
    public function add(Request $request, string $roster): RedirectResponse
    {
        $found = $this->own($request, $roster);
        $list = $this->listed($request);
        DB::transaction(fn () => $this->put($found, $list->entries));

        return redirect()
            ->route('class', $found)
            ->with('said', __('The names are on the list.'))
            ->withErrors(self::left($list));
    }

    /**
     * Rows of the table, of each the cells that were changed; a row whose name is emptied is taken out. A row that
     * cannot be saved stays as it was, and is shown as it was typed with the reason; the others are saved.
     */
    public function change(Request $request, string $roster): RedirectResponse
    {
        $found = $this->own($request, $roster);
        $request->validate(['name' => ['required', 'string', 'max:60']], [], ['name' => __('name of the class')]);
        $problems = DB::transaction(function () use ($request, $found): array {
            $found->update(['name' => $request->string('name')->trim()->toString()]);
            [$rows, $out, $problems] = $this->rows($request, $found);
            $found->entries()->whereKey($out)->delete();
            // Seats may change places: first out of each other's way.
            $found
                ->entries()
                ->whereKey(array_keys($rows))
                ->update(['n' => DB::raw('n + 100000')]);
            foreach ($rows as $id => $row) {
                $found->entries()->whereKey($id)->update($row->toArray());
            }

            return $problems;
        });
        $to = redirect()->route('class', $found);

        return $problems === []
            ? $to->with('said', __('The list is saved.'))
            : $to
                ->withInput(['entries' => array_intersect_key($request->array('entries'), $problems)])
                ->withErrors(
                    array_combine(
                        array_map(static fn (string $id): string => "entries.{$id}", array_keys($problems)),
                        $problems,
                    ),
                )
                ->with(
                    'said',
                    trans_choice(
                        '{1} The list is saved, apart from one row.|[2,*] The list is saved, apart from :count rows.',
                        count($problems),
                    ),
                );
    }

    /** A PIN for each, so that nobody takes another's name. */
    public function pins(Request $request, string $roster): RedirectResponse
    {
        $found = $this->own($request, $roster);
        foreach ($found->entries()->get() as $entry) {
            $entry->update(['pin' => $request->boolean('none') ? '' : sprintf('%04d', random_int(0, 9999))]);
        }

        return redirect()
            ->route('class', $found)
            ->with('said', $request->boolean('none') ? __('Nobody needs a PIN now.') : __('Everyone has a PIN now.'));
    }

    /** To be printed and cut into slips. */
    public function printPins(Request $request, string $roster): View
    {
        $found = $this->own($request, $roster);

        return view('classes.pins', [
            'roster' => $found,
            'entries' => $found->entries()->where('pin', '!=', '')->get(),
        ]);
    }

    /** What its sessions say of each skill, one after the other. */
    public function sessions(Request $request, string $roster): View
    {
        $found = $this->own($request, $roster);
        $sessions = LiveSession::query()
            ->where('roster_id', $found->id)
            ->where('is_trial', false)
            ->latest()
            ->limit(self::MOST_SESSIONS)
            ->get()
            ->reverse()
            ->values();
        $time = OverTime::of(
            $sessions
                ->mapWithKeys(static function (LiveSession $session): array {
                    $stand = ClassOverview::of($session);

                    return [
                        $session->id => [
                            'picture' => $stand->picture,
                            'students' => $stand->seats
                                ->whereNotNull('roster_entry_id')
                                ->mapWithKeys(
                                    static fn (Seat $seat): array => [$seat->id => (string) $seat->roster_entry_id],
                                )
                                ->all(),
                        ],
                    ];
                })
                ->all(),
        );

        return view('classes.over-time', [
            'roster' => $found,
            'sessions' => $sessions,
            'time' => $time,
            'entries' => $found->entries()->get(),
        ]);
    }

    public function csv(Request $request, string $roster): Response
    {
        $found = $this->own($request, $roster);
        $rows = [[__('Seat'), __('Name'), __('Group')]];
        foreach ($found->entries()->get() as $entry) {
            $rows[] = [$entry->n, $entry->name, $entry->group];
        }
        $name = Str::slug($found->name) ?: 'class';

        return response(Csv::write($rows))->withHeaders([
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => "attachment; filename=\"{$name}.csv\"",
        ]);
    }

    public function delete(Request $request, string $roster): RedirectResponse
    {
        $found = $this->own($request, $roster);
        $found->delete();

        return redirect()
            ->route('classes')
            ->with('said', __('The class “:name” is deleted. Work from its sessions stays.', ['name' => $found->name]));
    }

    private function own(Request $request, string $roster): Roster
    {
        return CurrentTeacher::found($request)->rosters()->findOrFail($roster);
    }

    /** @return array<string, string> what of a list could not be taken, in words */
    private static function left(ClassList $list): array
    {
        return $list->notTaken === []
            ? []
            : [
                'names' => trans_choice(
                    '{1} One name is too long (over :most characters) and wasn’t added: :names|[2,*] :count names are too long (over :most characters) and weren’t added: :names',
                    count($list->notTaken),
                    [
                        'most' => PersonName::LONGEST,
                        'names' => implode(
                            '; ',
                            array_map(
                                static fn (string $name): string => mb_strimwidth($name, 0, 100, '…'),
                                array_slice($list->notTaken, 0, 10),
                            ),
                        ),
                    ],
                ),
            ];
    }

    private function listed(Request $request): ClassList
    {
        $file = $request->file('file');
        $bytes =
            $file !== null && ! is_array($file) && $file->isValid()
                ? (string) file_get_contents($file->getPathname(), length: self::MOST_BYTES + 1)
                : $request->string('names')->toString();
        try {
            return strlen($bytes) > self::MOST_BYTES ? throw UnreadableFile::notText() : ClassList::read($bytes);
        } catch (UnreadableFile $problem) {
            throw ValidationException::withMessages(['names' => __($problem->getMessage())]);
        }
    }

    /** @param  list<ClassEntry>  $entries */
    private function put(Roster $roster, array $entries): void
    {
        $names = $roster
            ->entries()
            ->pluck('name')
            ->map(static fn (mixed $name): string => mb_strtolower(is_string($name) ? $name : ''))
            ->all();
        $seats = FreeSeats::besides($roster->entries()->pluck('n')->map(static fn (mixed $n): int => (int) $n));
        foreach ($entries as $entry) {
            if (in_array(mb_strtolower($entry->name), $names, true)) {
                continue;
            }
            if ($seats->count() >= ClassList::MOST) {
                throw ValidationException::withMessages([
                    'names' => __('A class can have up to :n names.', ['n' => ClassList::MOST]),
                ]);
            }
            $roster->entries()->create([
                'n' => $seats->take($entry->n),
                'name' => $entry->name,
                'group' => $entry->group,
                'account' => TakeClasses::account($entry->account),
            ]);
        }
    }

    /**
     * @return array{array<string, ClassRow>, list<string>, array<string, string>}
     *      rows to save by the entry's id, ids to take out, and by id what is wrong with a row
     */
    private function rows(Request $request, Roster $roster): array
    {
        $given = $request->array('entries');
        $entries = $roster->entries()->get();
        $rows = $out = $problems = [];
        foreach ($entries as $entry) {
            $cells = is_array($given[$entry->id] ?? null)
                ? array_map(static fn (mixed $cell): string => is_string($cell) ? trim($cell) : '', $given[$entry->id])
                : [];
            if (($cells['name'] ?? $entry->name) === '') {
                $out[] = $entry->id;
            } elseif ($cells !== []) {
                try {
                    $rows[$entry->id] = ClassRow::read(
                        $cells['n'] ?? (string) $entry->n,
                        $cells['name'] ?? $entry->name,
                        $cells['group'] ?? $entry->group,
                        $cells['pin'] ?? $entry->pin,
                        $cells['account'] ?? $entry->account,
                    );
                } catch (InvalidName $problem) {
                    $problems[$entry->id] = __(':name: :problem', [
                        'name' => $entry->name,
                        'problem' => __($problem->getMessage()),
                    ]);
                }
            }
        }
        $now = $entries->whereNotIn('id', $out)->pluck('n', 'id')->all();
        foreach (ClassRow::inTheWay($rows, $now) as $id) {
            $problems[$id] = __(':name: :problem', [
                'name' => $rows[$id]->name,
                'problem' => __('Seat :n belongs to someone else.', ['n' => $rows[$id]->n]),
            ]);
            unset($rows[$id]);
        }

        return [$rows, $out, $problems];
    }
}
