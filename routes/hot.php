<?php

declare(strict_types=1);

/*
 * What open pages ask again and again. No session is opened for these; App\Http\Middleware\SameOrigin guards them.
 */

use App\Canvas\CanvasFile;
use App\Http\Controllers\BringInController;
use App\Http\Controllers\Desk\CanvasController;
use App\Http\Controllers\Desk\LeadController;
use App\Http\Controllers\Desk\WatchController;
use App\Http\Controllers\LiveController;
use App\Http\Controllers\PictureController;
use App\Http\Controllers\Plans\DrawingController;
use App\Http\Controllers\Plans\EditController;
use App\Http\Controllers\Plans\PlanController;
use App\Http\Controllers\Plans\TakeInController;
use App\Http\Controllers\Screen\ClassScreenController;
use App\Http\Controllers\Student\OperationsController;
use App\Http\Controllers\Student\SeatController;
use App\Http\Middleware\HoldsDesk;
use App\Http\Middleware\HoldsPlan;
use App\Http\Middleware\HoldsSeat;
use App\Http\Middleware\SeesScreen;
use App\Http\Middleware\WhileRunning;
use Illuminate\Support\Facades\Route;

// Whether the application answers.
Route::get('/up', static fn () => response('up')->header('Content-Type', 'text/plain'));

Route::get('/backdrop.svg', [PictureController::class, 'backdrop'])->name('backdrop');
Route::get('/asset/{asset}', [PictureController::class, 'asset'])->name('asset');
Route::get('/live/may-open', LiveController::class);

Route::prefix('/plan/{plan}')->middleware(HoldsPlan::class)->group(function (): void {
    Route::get('/state', [EditController::class, 'state'])->name('plan.state');
    Route::post('/edits', [EditController::class, 'set'])->name('plan.edits');
    Route::post('/step', [EditController::class, 'step'])->name('plan.step');
    Route::post('/prompts', [EditController::class, 'add'])->name('plan.prompts');
    Route::post('/prompt/{prompt}/edits', [EditController::class, 'set'])->name('plan.prompt.edits');
    Route::post('/prompt/{prompt}/place', [EditController::class, 'place'])->name('plan.prompt.place');
    Route::get('/prompt/{prompt}/canvas', [DrawingController::class, 'canvas'])->name('plan.canvas');
    Route::get('/prompt/{prompt}/picture.png', [DrawingController::class, 'picture'])->name('plan.picture');
    Route::post('/operations', [DrawingController::class, 'operations'])->name('plan.operations');
    Route::get('/canvas/{canvas}/log', [DrawingController::class, 'log'])->name('plan.log');
    Route::post('/bring-in', [DrawingController::class, 'bringIn'])->name('plan.bring-in');
    Route::post('/take-in', [TakeInController::class, 'file'])->name('plan.take-in');
    Route::get('/intake/{intake}', [TakeInController::class, 'progress'])->name('plan.intake');
    Route::post('/intake/{intake}/pages', [TakeInController::class, 'pages'])->name('plan.intake.pages');
    Route::get('/intake/{intake}/page/{page}.png', [TakeInController::class, 'page'])->whereNumber('page')->name('plan.intake.page');
    Route::post('/follow/{run}', [PlanController::class, 'follow'])->name('plan.follow');
    Route::get('/work/{canvas}.{format}', [DrawingController::class, 'file'])->whereIn('format', array_keys(CanvasFile::MIME))->name('plan.file');
});

Route::prefix('/desk/{session}')->middleware(HoldsDesk::class)->group(function (): void {
    Route::get('/prompt/{prompt}/canvases', [WatchController::class, 'canvases'])->name('desk.canvases');
    Route::get('/prompt/{prompt}/states', [WatchController::class, 'states'])->name('desk.states');
    Route::get('/catch-up', [WatchController::class, 'catchUp'])->name('desk.catch-up');
    Route::get('/prompt/{prompt}/lead', [LeadController::class, 'canvas'])->name('desk.lead');
    Route::post('/operations', [LeadController::class, 'operations'])->name('desk.operations');
    Route::get('/canvas/{canvas}/log', [LeadController::class, 'log'])->name('desk.log');
    Route::get('/canvas/{canvas}/answers', [CanvasController::class, 'answers'])->name('desk.answers');
    Route::get('/canvas/{canvas}/replay', [CanvasController::class, 'replay'])->name('desk.replay');
    Route::get('/work/{canvas}.{format}', [CanvasController::class, 'file'])->whereIn('format', array_keys(CanvasFile::MIME))->name('desk.file');
    Route::middleware(WhileRunning::class)->group(function (): void {
        Route::post('/prompt/{prompt}/pieces', [LeadController::class, 'pieces'])->name('desk.pieces');
        Route::post('/bring-in', [BringInController::class, 'teacher'])->name('desk.bring-in');
    });
});

Route::prefix('/seat/{seat}')->middleware(HoldsSeat::class)->group(function (): void {
    Route::get('/canvas', [SeatController::class, 'canvas'])->name('seat.canvas');
    Route::get('/canvas/{canvas}/log', [SeatController::class, 'log'])->name('seat.log');
    Route::post('/bring-in', [BringInController::class, 'student'])->name('seat.bring-in');
    Route::get('/catch-up', [SeatController::class, 'catchUp'])->name('seat.catch-up');
    Route::post('/operations', OperationsController::class)->name('seat.operations');
});

Route::get('/screen/{session}/catch-up', [ClassScreenController::class, 'catchUp'])
    ->middleware(SeesScreen::class)->name('screen.catch-up');
