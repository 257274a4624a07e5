<?php

declare(strict_types=1);

use App\Canvas\CanvasFile;
use App\Http\Controllers\DemoController;
use App\Http\Controllers\Desk\CheckController;
use App\Http\Controllers\Desk\DeskController;
use App\Http\Controllers\Desk\EndController;
use App\Http\Controllers\Desk\HandOutController;
use App\Http\Controllers\Desk\ScreenController;
use App\Http\Controllers\Desk\TrayController;
use App\Http\Controllers\HomeController;
use App\Http\Controllers\JoinController;
use App\Http\Controllers\Screen\ClassScreenController;
use App\Http\Controllers\StartController;
use App\Http\Controllers\Student\SeatController;
use App\Http\Controllers\Student\WorkController;
use App\Http\Middleware\HoldsDesk;
use App\Http\Middleware\HoldsSeat;
use App\Http\Middleware\SeesScreen;
use App\Http\Middleware\WhileRunning;
use Illuminate\Support\Facades\Route;

// Anybody.
Route::get('/', HomeController::class)->name('home');
Route::post('/start', [StartController::class, 'start'])->middleware('throttle:30,1,start')->name('start');
Route::get('/return/{session}/{key}', [StartController::class, 'return'])->middleware('throttle:60,1,return')->name('return');
Route::get('/join/{code?}', [JoinController::class, 'show'])->name('join');
Route::post('/join', [JoinController::class, 'join'])->middleware('throttle:300,1,join')->name('join.in');

// The teachers of a session.
Route::prefix('/desk/{session}')->middleware(HoldsDesk::class)->group(function (): void {
    Route::get('/', [DeskController::class, 'show'])->name('desk');
    Route::get('/bands', [DeskController::class, 'refresh'])->name('desk.bands');
    Route::get('/ended', [EndController::class, 'show'])->name('desk.ended');
    Route::get('/record', [EndController::class, 'progress'])->name('desk.record');
    Route::post('/record', [EndController::class, 'make'])->name('desk.record.make');
    Route::get('/record.pdf', [EndController::class, 'pdf'])->name('desk.pdf');
    Route::get('/checks.csv', [EndController::class, 'checks'])->name('desk.csv');
    Route::delete('/', [EndController::class, 'forget'])->name('desk.forget');

    Route::middleware(WhileRunning::class)->group(function (): void {
        Route::post('/names', [DeskController::class, 'names'])->name('desk.names');
        Route::post('/hand-out', [HandOutController::class, 'store'])->name('desk.hand-out');
        Route::post('/prompt/{prompt}/go', [HandOutController::class, 'goTo'])->name('desk.go');
        Route::post('/tray', TrayController::class)->name('desk.tray');
        Route::post('/checks', CheckController::class)->name('desk.check');
        Route::post('/screen', [ScreenController::class, 'view'])->name('desk.screen');
        Route::post('/showcase', [ScreenController::class, 'showcase'])->name('desk.showcase');
        Route::post('/showcase/named', [ScreenController::class, 'named'])->name('desk.showcase.named');
        Route::post('/end', [EndController::class, 'end'])->name('desk.end');
    });
});

// The student of a seat.
Route::prefix('/seat/{seat}')->middleware(HoldsSeat::class)->group(function (): void {
    Route::get('/', [SeatController::class, 'show'])->name('seat');
    Route::get('/work.pdf', [WorkController::class, 'pdf'])->name('seat.pdf');
    Route::get('/work/{canvas}.{format}', [WorkController::class, 'file'])->whereIn('format', array_keys(CanvasFile::MIME))->name('seat.file');
});

// The class screen.
Route::get('/screen/{session}/open/{key}', [ClassScreenController::class, 'open'])->middleware('throttle:60,1,screen')->name('screen.open');
Route::prefix('/screen/{session}')->middleware(SeesScreen::class)->group(function (): void {
    Route::get('/', [ClassScreenController::class, 'show'])->name('screen');
    Route::get('/shown', [ClassScreenController::class, 'shownNow'])->name('screen.shown');
    Route::get('/showcase/{showcase}.svg', [ClassScreenController::class, 'picture'])->name('screen.showcase');
});

if (config('crag.demo')) {
    Route::get('/demo/student', [DemoController::class, 'student'])->name('demo.student');
}
