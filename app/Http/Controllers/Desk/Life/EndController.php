<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Life;

use App\Http\CurrentTeacher;
use App\Http\Pages\RecordPage;
use App\Jobs\JobState;
use App\Jobs\MakeRecord;
use App\Live\PublicAddress;
use App\Models\LiveSession;
use App\Models\Record;
use App\Records\Results;
use App\Records\Zip;
use App\Sessions\Life\EndSession;
use App\Sessions\Life\ForgetSession;
use App\Sessions\Life\GoOn;
use App\Sessions\Life\ReopenSession;
use Crag\Formats\Ods;
use Crag\Formats\Xlsx;
use Crag\Render\Sheet;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** The end of a session and what it leaves behind. */
final class EndController
{
    public function end(LiveSession $session, EndSession $end, ForgetSession $forget): RedirectResponse
    {
        $end($session);
        if ($session->retention()->isNone()) {
            return $this->forget($session, $forget);
        }

        return redirect()->route('desk.ended', $session);
    }

    public function reopen(LiveSession $session, ReopenSession $reopen): RedirectResponse
    {
        $reopen($session);

        return redirect()->route('desk', $session);
    }

    public function show(Request $request, LiveSession $session): View|RedirectResponse
    {
        return $session->isRunning()
            ? redirect()->route('desk', $session)
            : view('desk.life.ended', RecordPage::whole($request, $session));
    }

    /** What can be taken, while the session runs and after. */
    public function take(Request $request, LiveSession $session): View
    {
        return view('desk.work.take', RecordPage::whole($request, $session));
    }

    /** A PDF or a zip of the canvases, all of them or chosen ones, made beside the lesson. */
    public function make(Request $request, LiveSession $session): View
    {
        abort_unless($session->canvases()->exists(), 422, __('Nobody joined, so there’s no work to keep.'));
        $options = $request->validate([
            'kind' => ['in:pdf,zip'],
            'by' => ['in:prompt,seat'],
            'names' => ['in:names,seats'],
            'checks' => ['boolean'],
            'notes' => ['boolean'],
            'words' => ['boolean'],
            'asks' => ['boolean'],
            'per' => ['integer', Rule::in(Sheet::COUNTS)],
            'prompts' => ['array'],
            'prompts.*' => ['string'],
            'seats' => ['array'],
            'seats.*' => ['string'],
        ]);
        abort_unless(
            $session->openCanvases()->exists(),
            409,
            __('All work is covered. Reveal it first, or end the session.'),
        );
        $chosen = $session->openCanvases();
        if (isset($options['prompts'])) {
            $chosen->whereIn('prompt_id', $options['prompts']);
        }
        if (isset($options['seats'])) {
            $chosen->whereIn('seat_id', $options['seats']);
        }
        abort_if($chosen->doesntExist(), 422, __('There are no canvases for the prompts and students you chose.'));
        $record = $session->records()->first();
        if ($record === null || ! $record->isUnderWay()) {
            $record = Record::query()->create([
                'live_session_id' => $session->id,
                'kind' => $options['kind'] ?? 'pdf',
                'options' => $options,
            ]);
            MakeRecord::dispatch($record->id);
        }

        return view('desk.life.record', RecordPage::record($session));
    }

    /** How far the record is. */
    public function progress(LiveSession $session): View
    {
        return view('desk.life.record', RecordPage::record($session));
    }

    public function pdf(LiveSession $session): BinaryFileResponse
    {
        return $this->download($session, 'pdf', 'application/pdf');
    }

    public function zip(LiveSession $session): BinaryFileResponse
    {
        return $this->download($session, 'zip', 'application/zip');
    }

    private function download(LiveSession $session, string $kind, string $mime): BinaryFileResponse
    {
        $record = $session->records()->where('state', JobState::Ready)->where('kind', $kind)->firstOrFail();

        return response()->download($record->path(), "{$session->fileName()}.{$kind}", ['Content-Type' => $mime]);
    }

    /**
     * The results: as CSV a row for each seat and prompt; as a spreadsheet rows, matrix, answers and quick asks, each
     * on a sheet.
     */
    public function sheet(Request $request, LiveSession $session, string $sheet): Response
    {
        $results = Results::of($session, $request->query('names') === 'seats');
        $table =
            in_array($request->query('table'), ['matrix', 'answers', 'asks'], true) && $sheet === 'csv'
                ? $request->string('table')->toString()
                : 'rows';
        $what = ['rows' => 'results', 'matrix' => 'matrix', 'answers' => 'answers', 'asks' => 'quick-asks'][$table];
        [$bytes, $mime] = match ($sheet) {
            'csv' => [$results->csv($table), 'text/csv; charset=utf-8'],
            'ods' => [Zip::bytes(Ods::files($results->tables())), Ods::MIME],
            default => [Zip::bytes(Xlsx::files($results->tables())), Xlsx::MIME],
        };

        return response($bytes)->withHeaders([
            'Content-Type' => $mime,
            'Content-Disposition' => "attachment; filename=\"{$session->fileName()}-{$what}.{$sheet}\"",
        ]);
    }

    /** Statements of the Experience API. */
    public function statements(Request $request, LiveSession $session): Response
    {
        $statements = Results::of($session, $request->query('names') === 'seats')->statements(PublicAddress::root());

        return response(
            json_encode($statements, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
        )->withHeaders([
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"{$session->fileName()}-xapi.json\"",
        ]);
    }

    /** The next session: the same plan, class, prompts and groups; canvases carried on, or empty. */
    public function goOn(Request $request, LiveSession $session, GoOn $goOn): RedirectResponse
    {
        $request->validate(['canvases' => ['required', 'in:carried,empty']]);
        $teacher = CurrentTeacher::found($request);

        return redirect()->route('desk', $goOn($teacher, $session, $request->input('canvases') === 'carried'));
    }

    public function forget(LiveSession $session, ForgetSession $forget): RedirectResponse
    {
        $forget($session);

        return redirect()
            ->route('home')
            ->with('said', __('“:title” is deleted, with everything in it.', ['title' => $session->title]));
    }
}
