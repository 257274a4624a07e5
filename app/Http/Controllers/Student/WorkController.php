<?php

declare(strict_types=1);

namespace App\Http\Controllers\Student;

use App\Canvas\CanvasFile;
use App\Models\Message;
use App\Models\Seat;
use App\Records\SheetChoice;
use App\Records\Sheets;
use App\Sessions\Checks\FeedbackForStudent;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** A student takes the own work home, and nobody else's: on the device that drew it, or by a private link. */
final class WorkController
{
    /** What there is to take, during the session, after it, and by the private link. */
    public function show(Request $request, Seat $seat): View
    {
        return self::page($request, $seat);
    }

    public static function page(Request $request, Seat $seat): View
    {
        $seat->home_key ?? $seat->update(['home_key' => Str::random(40)]);
        $at = $request->attributes->get('home');

        return view('student.home', [
            'seat' => $seat,
            'session' => $seat->session,
            'at' => is_string($at) ? $at : "/seat/{$seat->id}",
            'canvases' => $seat->workedOn()->with('prompt')->get()->sortBy('prompt.n'),
            'checks' => FeedbackForStudent::by($seat),
            'notes' => $seat->messages()->get()->reject(static fn (Message $one): bool => $one->isFromStudent()),
        ]);
    }

    public function pdf(Seat $seat): BinaryFileResponse
    {
        $canvases = $seat
            ->workedOn()
            ->with(['seat', 'prompt', 'check'])
            ->get()
            ->sortBy('prompt.n');
        abort_if($canvases->isEmpty(), 404);
        $file = (string) tempnam(sys_get_temp_dir(), 'crag-work');
        $feedback = $seat->session->settings->feedback;
        $isDue = $feedback->isDue(false, ! $seat->session->isRunning());
        Sheets::pdf(
            $seat->session,
            $canvases,
            $file,
            new SheetChoice(
                $isDue && $feedback->shows('level'),
                $isDue && $feedback->shows('note'),
                withPoints: $isDue && $feedback->shows('points'),
            ),
            static fn () => null,
        );

        return response()
            ->download($file, $this->name($seat).'.pdf', ['Content-Type' => 'application/pdf'])
            ->deleteFileAfterSend();
    }

    public function picture(Request $request, Seat $seat, string $canvas): Response
    {
        return CanvasFile::picture($request, $seat->workedOn()->with('prompt.session')->findOrFail($canvas));
    }

    public function file(Request $request, Seat $seat, string $canvas, string $format): Response
    {
        return CanvasFile::answer(
            $seat->workedOn()->with('prompt.session')->findOrFail($canvas),
            $format,
            $request->integer('page', 1),
        );
    }

    private function name(Seat $seat): string
    {
        return Str::slug($seat->session->title) ?: 'work';
    }
}
