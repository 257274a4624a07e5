<?php

declare(strict_types=1);

namespace App\Http\Controllers\Student;

use App\Canvas\CanvasFile;
use App\Models\Seat;
use App\Records\Sheets;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** A student takes the own work home, and nobody else's. */
final class WorkController
{
    public function pdf(Seat $seat): BinaryFileResponse
    {
        $canvases = $seat->canvases()->with(['seat', 'prompt'])->get()->sortBy('prompt.n');
        abort_if($canvases->isEmpty(), 404);
        $file = (string) tempnam(sys_get_temp_dir(), 'crag-work');
        Sheets::pdf($seat->session, $canvases, $file, false, static fn () => null);

        return response()->download($file, $this->name($seat).'.pdf', ['Content-Type' => 'application/pdf'])->deleteFileAfterSend();
    }

    public function file(Request $request, Seat $seat, string $canvas, string $format): Response
    {
        return CanvasFile::answer($seat->canvases()->with('prompt.session')->findOrFail($canvas), $format, $request->integer('page', 1));
    }

    private function name(Seat $seat): string
    {
        return Str::slug($seat->session->title) ?: 'work';
    }
}
