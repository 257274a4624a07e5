<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk;

use App\Jobs\MakeRecord;
use App\Models\LiveSession;
use App\Models\Record;
use App\Records\ChecksCsv;
use App\Sessions\EndSession;
use App\Sessions\ForgetSession;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** The end of a session and what it leaves behind. */
final class EndController
{
    public function end(LiveSession $session, EndSession $end): RedirectResponse
    {
        $end($session);

        return redirect()->route('desk.ended', $session);
    }

    public function show(LiveSession $session): View|RedirectResponse
    {
        return $session->isRunning()
            ? redirect()->route('desk', $session)
            : view('desk.ended', [
                'session' => $session->loadCount(['seats', 'canvases', 'prompts']),
                'record' => $session->records()->first(),
            ]);
    }

    public function make(LiveSession $session): View
    {
        abort_unless($session->canvases()->exists(), 422, __('Nobody joined, so there is no work to keep.'));
        $record = $session->records()->first();
        if ($record === null || ! $record->isUnderWay()) {
            $record = Record::query()->create(['live_session_id' => $session->id]);
            MakeRecord::dispatch($record->id);
        }

        return view('desk.record', ['session' => $session, 'record' => $record]);
    }

    /** How far the record is. */
    public function progress(LiveSession $session): View
    {
        return view('desk.record', ['session' => $session, 'record' => $session->records()->first()]);
    }

    public function pdf(LiveSession $session): BinaryFileResponse
    {
        $record = $session->records()->where('state', 'ready')->firstOrFail();

        return response()->download($record->path(), $this->name($session).'.pdf', ['Content-Type' => 'application/pdf']);
    }

    public function checks(LiveSession $session): Response
    {
        return response(ChecksCsv::of($session))->withHeaders([
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"{$this->name($session)}-checks.csv\"",
        ]);
    }

    public function forget(LiveSession $session, ForgetSession $forget): RedirectResponse
    {
        $forget($session);

        return redirect()->route('home')->with('said', __('“:title” is forgotten: nothing of it is left here.', ['title' => $session->title]));
    }

    private function name(LiveSession $session): string
    {
        return (Str::slug($session->title) ?: 'session').'-'.$session->created_at->format('Y-m-d');
    }
}
