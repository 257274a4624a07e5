<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plans;

use App\Canvas\AppendOperations;
use App\Canvas\CanvasFile;
use App\Http\CanvasAnswer;
use App\Models\Asset;
use App\Models\Canvas;
use App\Models\Prompt;
use App\Models\Teachers\Plan;
use App\Pictures\BringIn;
use App\Pictures\EmbeddedPictures;
use App\Pictures\StorePicture;
use App\Pictures\UnusablePicture;
use App\Plans\EditPlan;
use App\Plans\TakesDrawing;
use App\Records\Rsvg;
use Crag\Canvas\Log\Author;
use Crag\Formats\UnreadableFile;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Tray\TrayKind;
use Crag\Render\SceneSvg;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What is drawn for a plan's prompts. */
final readonly class DrawingController
{
    private const MOST_AT_ONCE = 100;

    public function __construct(private TakesDrawing $drawing)
    {
    }

    public function canvas(Plan $plan, Prompt $prompt): Response
    {
        return CanvasAnswer::opening($this->drawing->canvas($prompt)->refresh(), [
            'tray' => ToolTray::of(TrayKind::Maths)->toArray(),
        ]);
    }

    public function log(Request $request, Plan $plan, string $canvas): Response
    {
        return CanvasAnswer::since(self::own($plan, $canvas), $request->integer('after'));
    }

    public function operations(Request $request, Plan $plan, AppendOperations $append, EditPlan $edit): JsonResponse
    {
        $batch = $request->json('operations');
        abort_unless(is_array($batch) && array_is_list($batch), 422, __('Nothing came with that. Reload the page and try again.'));
        abort_if(
            count($batch) > self::MOST_AT_ONCE,
            422,
            __('That’s too much at once. Send up to :n steps.', ['n' => self::MOST_AT_ONCE]),
        );
        $canvas = self::own($plan, $request->json('canvas'));
        $answer = $append($canvas, Author::teacher(), $batch);
        if ($answer['accepted'] !== []) {
            $edit->drawn($plan, $canvas->prompt);
        }

        return response()->json($answer);
    }

    /** A file's content as objects for the page that asks. */
    public function bringIn(Request $request, Plan $plan, BringIn $bringIn): JsonResponse
    {
        $bytes = $request->getContent();
        abort_if(strlen($bytes) > StorePicture::MOST_BYTES, 422, __('That file is over :n MB.', ['n' => StorePicture::MOST_MEGABYTES]));
        abort_if($bytes === '', 422, __('That file is empty.'));
        try {
            $objects = $bringIn($plan, null, $bytes, $request->integer('pdf_page', 1));
            $asset = Asset::query()->find($objects[0]['object']['asset'] ?? '');

            return response()->json(
                ['objects' => $objects] + ($asset === null ? [] : ['paper' => $asset->backdrop()->paper->text()]),
            );
        } catch (UnusablePicture|UnreadableFile $problem) {
            abort(422, __($problem->getMessage()));
        }
    }

    /** A page of a prompt as a small picture. */
    public function picture(Request $request, Plan $plan, Prompt $prompt): Response
    {
        $scene = $this->drawing->canvas($prompt)->scene();
        $page = array_map(strval(...), array_keys($scene->pages))[max(0, $request->integer('page'))] ?? '';

        return response(Rsvg::png(SceneSvg::document($scene, new EmbeddedPictures($plan), $page), 320))->withHeaders([
            'Content-Type' => 'image/png',
            'Cache-Control' => 'private, max-age=86400',
        ]);
    }

    /** @param  string  $format  one of CanvasFile's */
    public function file(Request $request, Plan $plan, string $canvas, string $format): Response
    {
        return CanvasFile::answer(self::own($plan, $canvas), $format, $request->integer('page', 1));
    }

    private static function own(Plan $plan, mixed $canvas): Canvas
    {
        return Canvas::query()
            ->whereKey($canvas)
            ->whereNull('seat_id')
            ->whereHas('prompt', static fn ($prompts) => $prompts->where('plan_id', $plan->id))
            ->firstOrFail();
    }
}
