<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\TakeClasses;
use App\Http\CurrentTeacher;
use Crag\Classes\OneRoster;
use Crag\Classes\RosteredClass;
use Crag\Formats\UnreadableFile;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Illuminate\Validation\ValidationException;
use ZipArchive;

/** Class lists out of a school's records: an export is brought, and the teacher chooses the classes that are theirs. */
final class SchoolRecordsController
{
    private const MOST_KB = 10 * 1024;

    /** Of one file in it, unpacked. */
    private const MOST_BYTES = self::MOST_MB * 1024 * 1024;

    private const MOST_MB = 12;

    /** What was brought waits so long to be chosen from. */
    private const WAITS_S = 900;

    public function bring(Request $request): RedirectResponse
    {
        $request->validate(['records' => ['required', 'file', 'max:'.self::MOST_KB]], [], ['records' => __('export')]);
        $file = $request->file('records');
        $files = is_array($file) || $file === null ? [] : self::unpacked($file->getPathname());
        self::classes($files);
        Cache::put(self::key($request), $files, self::WAITS_S);

        return redirect()->route('records');
    }

    public function show(Request $request): View|RedirectResponse
    {
        $files = self::kept($request);
        $teacher = CurrentTeacher::found($request);

        return $files === null
            ? redirect()->route('classes')
            : view('classes.records', [
                'classes' => self::classes($files),
                'there' => $teacher->rosters()->whereNotNull('source')->pluck('source')->all(),
            ]);
    }

    public function take(Request $request, TakeClasses $take): RedirectResponse
    {
        $files = self::kept($request);
        if ($files === null) {
            throw ValidationException::withMessages(['records' => __('That took too long. Choose the file again.')])
                ->redirectTo(route('classes'));
        }
        $chosen = array_values(array_filter(
            self::classes($files),
            static fn (RosteredClass $one): bool => in_array($one->id, $request->array('classes'), true),
        ));
        if ($chosen === []) {
            throw ValidationException::withMessages(['classes' => __('Choose at least one class.')])
                ->redirectTo(route('records'));
        }
        $large = $take(CurrentTeacher::found($request), $chosen);
        Cache::forget(self::key($request));
        $n = count($chosen) - count($large);

        return redirect()
            ->route('classes')
            ->with('said', trans_choice(
                '{0} No class was taken.|{1} One class is up to date with your school’s records.|[2,*] :count classes are up to date with your school’s records.',
                $n,
            ))
            ->withErrors($large === [] ? [] : ['records' => __('Too large for a class list: :classes', [
                'classes' => implode('; ', $large),
            ])]);
    }

    /**
     * @param  array<string, string>  $files
     * @return list<RosteredClass>
     */
    private static function classes(array $files): array
    {
        try {
            return OneRoster::read($files)->classes;
        } catch (UnreadableFile $problem) {
            throw ValidationException::withMessages(['records' => __($problem->getMessage())])
                ->redirectTo(route('classes'));
        }
    }

    /** @return array<string, string> the files that are read of it, by name, whatever folder they lie in */
    private static function unpacked(string $path): array
    {
        $zip = new ZipArchive();
        $files = [];
        if ($zip->open($path, ZipArchive::RDONLY) === true) {
            for ($i = 0; $i < min(200, $zip->numFiles); $i++) {
                $about = $zip->statIndex($i);
                $name = is_array($about) ? mb_strtolower(basename((string) $about['name'])) : '';
                if (! in_array($name, OneRoster::FILES, true)) {
                    continue;
                }
                if ($about['size'] > self::MOST_BYTES) {
                    throw ValidationException::withMessages([
                        'records' => __(':file is over :n MB. Export the records of your own school only.', [
                            'file' => $name,
                            'n' => self::MOST_MB,
                        ]),
                    ])->redirectTo(route('classes'));
                }
                $files[$name] = (string) $zip->getFromIndex($i, self::MOST_BYTES);
            }
            $zip->close();
        }

        return $files;
    }

    /** @return array<string, string>|null */
    private static function kept(Request $request): ?array
    {
        /** @var array<string, string>|null */
        return Cache::get(self::key($request));
    }

    private static function key(Request $request): string
    {
        return 'records '.CurrentTeacher::found($request)->id;
    }
}
