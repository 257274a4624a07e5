<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plans;

use App\Http\CurrentTeacher;
use App\Jobs\JobState;
use App\Jobs\TakeInPdf;
use App\Models\Teachers\Intake;
use App\Models\Teachers\Plan;
use App\Pictures\PdfPage;
use App\Pictures\UnusablePicture;
use App\Plans\BringInPlan;
use App\Plans\UnusablePlan;
use Crag\Canvas\Log\MayAppend;
use Crag\Plan\InvalidPages;
use Crag\Plan\PageChoice;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Files that become prompts of an open plan. */
final readonly class TakeInController
{
    public function file(Request $request, Plan $plan, BringInPlan $bringIn): JsonResponse
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'crag-plan');
        $after = $request->query('after');
        try {
            $bytes = file_put_contents($path, $request->getContent(true));
            abort_if($bytes === 0, 422, __('That file is empty.'));
            abort_if(
                $bytes > BringInPlan::MOST_BYTES,
                422,
                __('That file is over :n MB.', ['n' => BringInPlan::MOST_MEGABYTES]),
            );
            $intake = $bringIn->into(
                $plan,
                CurrentTeacher::found($request),
                $path,
                is_string($after) && $after !== '' ? $after : null,
            );
        } catch (UnusablePlan $problem) {
            abort(422, $problem->getMessage());
        } finally {
            unlink($path);
        }

        return response()->json($intake === null ? ['done' => true] : self::told($intake));
    }

    /** Pages of a PDF that was brought in, each as a prompt or all as one prompt's pages. */
    public function pages(Request $request, Plan $plan, string $intake): JsonResponse
    {
        $found = self::own($plan, $intake);
        abort_unless($found->state === JobState::Chosen, 409, __('That PDF is already being added.'));
        $choice = $request->json('pages');
        try {
            // One prompt has fewer pages than a plan has prompts.
            $most = $request->json('as') === 'pages' ? MayAppend::MOST_PAGES : BringInPlan::MOST_PAGES;
            $pages = PageChoice::read(is_string($choice) ? $choice : '', $found->total, $most)->pages;
        } catch (InvalidPages $problem) {
            abort(422, __($problem->getMessage()));
        }
        $after = $request->json('after');
        $found->update([
            'state' => JobState::Waiting,
            'done' => 0,
            'total' => count($pages),
            'settings' => [
                'pages' => $pages,
                'as' => $request->json('as') === 'pages' ? 'pages' : 'prompts',
                'after' => is_string($after) ? $after : '',
            ],
        ]);
        TakeInPdf::dispatch($found->id);

        return response()->json(self::told($found->refresh()));
    }

    public function progress(Plan $plan, string $intake): JsonResponse
    {
        return response()->json(self::told(self::own($plan, $intake)));
    }

    /** A small picture of one of its pages, to choose by. */
    public function page(Plan $plan, string $intake, int $page): Response
    {
        $found = self::own($plan, $intake);
        // Those that are asked for last may come when the pages are being taken in already.
        abort_unless(is_file($found->path()), 404);
        try {
            $drawn = PdfPage::picture($found->path(), $page, 240);
        } catch (UnusablePicture $problem) {
            abort(422, $problem->getMessage());
        }
        $bytes = (string) file_get_contents($drawn);
        unlink($drawn);

        return response($bytes)->withHeaders([
            'Content-Type' => 'image/png',
            'Cache-Control' => 'private, max-age=3600',
        ]);
    }

    private static function own(Plan $plan, string $intake): Intake
    {
        return Intake::query()->where('plan_id', $plan->id)->findOrFail($intake);
    }

    /** @return array<string, mixed> */
    private static function told(Intake $intake): array
    {
        return $intake->only(['id', 'state', 'done', 'total', 'problem']) + ['most' => BringInPlan::MOST_PAGES];
    }
}
