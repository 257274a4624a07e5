<?php

declare(strict_types=1);

namespace App\Http\Controllers\Student;

use App\Models\Seat;
use App\Pictures\EmbeddedPictures;
use App\Records\Rsvg;
use App\Records\Sheets;
use Crag\Canvas\Page;
use Crag\Render\SceneSvg;
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

    public function png(Seat $seat, string $canvas): Response
    {
        $found = $seat->canvases()->with('prompt')->findOrFail($canvas);
        $svg = SceneSvg::document($found->scene(), new EmbeddedPictures($seat->live_session_id));

        return response(Rsvg::png($svg, Page::WIDTH))->withHeaders([
            'Content-Type' => 'image/png',
            'Content-Disposition' => "attachment; filename=\"{$this->name($seat)}-{$found->prompt->n}.png\"",
        ]);
    }

    private function name(Seat $seat): string
    {
        return Str::slug($seat->session->title) ?: 'work';
    }
}
