<?php

declare(strict_types=1);

use App\Canvas\CanvasFile;
use App\Http\Controllers\AccountController;
use App\Http\Controllers\ClassesController;
use App\Http\Controllers\DemoController;
use App\Http\Controllers\Desk\Checks\CheckController;
use App\Http\Controllers\Desk\DeskController;
use App\Http\Controllers\Desk\Life\EndController;
use App\Http\Controllers\Desk\Life\KeepController;
use App\Http\Controllers\Desk\Show\OffersController;
use App\Http\Controllers\Desk\Show\ScreenController;
use App\Http\Controllers\Desk\Work\HandOutController;
use App\Http\Controllers\Desk\Work\TrayController;
use App\Http\Controllers\HomeController;
use App\Http\Controllers\JoinController;
use App\Http\Controllers\OwnAccountController;
use App\Http\Controllers\Plans\LibraryController;
use App\Http\Controllers\Plans\PlanController;
use App\Http\Controllers\Plans\PracticeController;
use App\Http\Controllers\Plans\TakeOutController;
use App\Http\Controllers\SchoolAccountController;
use App\Http\Controllers\SchoolRecordsController;
use App\Http\Controllers\Schools\SchoolExportController;
use App\Http\Controllers\Schools\SchoolsController;
use App\Http\Controllers\Schools\SchoolTeachersController;
use App\Http\Controllers\Screen\ClassScreenController;
use App\Http\Controllers\SimulatedProviderController;
use App\Http\Controllers\StartController;
use App\Http\Controllers\Student\SeatController;
use App\Http\Controllers\Student\WorkController;
use App\Http\Controllers\WorkerController;
use App\Http\Middleware\HoldsDesk;
use App\Http\Middleware\HoldsPlan;
use App\Http\Middleware\HoldsSeat;
use App\Http\Middleware\IsTeacher;
use App\Http\Middleware\LooksAfterSchools;
use App\Http\Middleware\May;
use App\Http\Middleware\MayTeach;
use App\Http\Middleware\SeesScreen;
use App\Http\Middleware\TakesHome;
use Crag\Session\Rules\Deed;
use Illuminate\Support\Facades\Route;

// Anybody.
Route::get('/', HomeController::class)->name('home');
Route::get('/worker.js', [WorkerController::class, 'script'])->name('worker');
Route::get('/app.webmanifest', [WorkerController::class, 'manifest'])->name('manifest');
Route::post('/start', [StartController::class, 'start'])
    ->middleware(['throttle:start', MayTeach::class])
    ->name('start');
Route::get('/return/{session}/{key}', [StartController::class, 'return'])
    ->middleware('throttle:link')
    ->name('return');
Route::get('/beside/{session}/{key}', [StartController::class, 'invited'])
    ->middleware('throttle:link')
    ->name('beside');
Route::post('/beside/{session}/{key}', [StartController::class, 'accept'])
    ->middleware('throttle:link')
    ->name('beside.accept');
Route::view('/kept', 'kept', ['days' => (int) config('crag.keep_days')])->name('kept');
Route::get('/join/{code?}', [JoinController::class, 'show'])->name('join');
Route::post('/join', [JoinController::class, 'join'])
    ->middleware('throttle:join')
    ->name('join.in');
// Only where a school's accounts are set up.
Route::get('/join/{code}/account', [SchoolAccountController::class, 'begin'])
    ->middleware('throttle:join')
    ->name('join.account');
Route::get('/account-back', [SchoolAccountController::class, 'end'])
    ->middleware('throttle:join')
    ->name('join.account.back');
// A stand-in for a school's own sign-in page, only where it is named as the provider.
Route::prefix(SimulatedProviderController::AT)->group(function (): void {
    Route::get('/.well-known/openid-configuration', [SimulatedProviderController::class, 'configuration'])
        ->withoutMiddleware('web')
        ->name('simulated.configuration');
    Route::get('/keys', [SimulatedProviderController::class, 'keys'])->withoutMiddleware('web')->name('simulated.keys');
    Route::post('/token', [SimulatedProviderController::class, 'token'])
        ->withoutMiddleware('web')
        ->name('simulated.token');
    Route::get('/sign-in', [SimulatedProviderController::class, 'show'])->name('simulated');
    Route::post('/sign-in', [SimulatedProviderController::class, 'signIn'])->name('simulated.sign-in');
});

// A teacher's plans, classes and account. A device that opens them becomes a teacher's: no account is needed.
Route::middleware([MayTeach::class, IsTeacher::class])->group(function (): void {
    Route::get('/plans', [LibraryController::class, 'show'])->name('plans');
    Route::post('/plans', [LibraryController::class, 'make'])
        ->middleware('throttle:make')
        ->name('plans.make');
    Route::post('/plans/bring-in', [LibraryController::class, 'bringIn'])
        ->middleware('throttle:upload')
        ->name('plans.bring-in');
    Route::get('/plan-link/{plan}/{key}', [PlanController::class, 'shared'])
        ->middleware('throttle:link')
        ->name('plan.shared');
    Route::get('/plan-link/{plan}/{key}/{prompt}.png', [PlanController::class, 'sharedPicture'])
        ->middleware('throttle:picture')
        ->name('plan.shared.picture');
    Route::post('/plan-link/{plan}/{key}', [PlanController::class, 'takeShared'])
        ->middleware('throttle:make')
        ->name('plan.shared.take');

    Route::get('/classes', [ClassesController::class, 'index'])->name('classes');
    Route::post('/records', [SchoolRecordsController::class, 'bring'])
        ->middleware('throttle:upload')
        ->name('records.bring');
    Route::get('/records', [SchoolRecordsController::class, 'show'])->name('records');
    Route::post('/records/take', [SchoolRecordsController::class, 'take'])->name('records.take');
    Route::post('/classes', [ClassesController::class, 'make'])
        ->middleware('throttle:make')
        ->name('classes.make');
    Route::get('/class/{roster}', [ClassesController::class, 'show'])->name('class');
    Route::post('/class/{roster}', [ClassesController::class, 'change'])->name('class.change');
    Route::post('/class/{roster}/names', [ClassesController::class, 'add'])->name('class.add');
    Route::get('/class/{roster}/pins', [ClassesController::class, 'printPins'])->name('class.pins.print');
    Route::post('/class/{roster}/pins', [ClassesController::class, 'pins'])->name('class.pins');
    Route::get('/class/{roster}/sessions', [ClassesController::class, 'sessions'])->name('class.sessions');
    Route::get('/class/{roster}/list.csv', [ClassesController::class, 'csv'])->name('class.csv');
    Route::delete('/class/{roster}', [ClassesController::class, 'delete'])->name('class.delete');
});
Route::middleware(IsTeacher::class)->group(function (): void {
    Route::get('/account', [AccountController::class, 'show'])->name('account');
    Route::post('/account', [AccountController::class, 'make'])
        ->middleware('throttle:account')
        ->name('account.make');
    Route::post('/account/sign-in', [AccountController::class, 'signIn'])
        ->middleware('throttle:account')
        ->name('account.sign-in');
    Route::post('/account/accept', [AccountController::class, 'accept'])->name('account.accept');
    Route::post('/account/ask', [AccountController::class, 'ask'])
        ->middleware('throttle:mail')
        ->name('account.ask');
    Route::post('/account/sign-out', [AccountController::class, 'signOut'])->name('account.sign-out');
    Route::post('/account/name', [OwnAccountController::class, 'name'])->name('account.name');
    Route::post('/account/address', [OwnAccountController::class, 'address'])
        ->middleware('throttle:account')
        ->name('account.address');
    Route::post('/account/password', [OwnAccountController::class, 'password'])
        ->middleware('throttle:account')
        ->name('account.password');
    Route::post('/account/devices', [OwnAccountController::class, 'signOutDevices'])->name('account.devices');
    Route::delete('/account', [OwnAccountController::class, 'delete'])
        ->middleware('throttle:account')
        ->name('account.delete');
});
// Those who look after schools; for everybody else there are no such pages.
Route::middleware(LooksAfterSchools::class.':all')->group(function (): void {
    Route::post('/schools', [SchoolsController::class, 'make'])
        ->middleware('throttle:make')
        ->name('schools.make');
    Route::post('/school/{school}/limit', [SchoolsController::class, 'limit'])->name('school.limit');
    Route::delete('/school/{school}', [SchoolsController::class, 'delete'])->name('school.delete');
});
Route::middleware(LooksAfterSchools::class)
    ->scopeBindings()
    ->group(function (): void {
        Route::get('/schools', [SchoolsController::class, 'index'])->name('schools');
        Route::get('/school/{school}', [SchoolsController::class, 'show'])->name('school');
        Route::post('/school/{school}', [SchoolsController::class, 'change'])->name('school.change');
        Route::post('/school/{school}/invite', [SchoolTeachersController::class, 'invite'])
            ->middleware('throttle:make')
            ->name('school.invite');
        Route::post('/school/{school}/teacher/{teacher}/stop', [SchoolTeachersController::class, 'stop'])
            ->name('school.teacher.stop');
        Route::post('/school/{school}/teacher/{teacher}/again', [SchoolTeachersController::class, 'again'])
            ->name('school.teacher.again');
        Route::post('/school/{school}/export', [SchoolExportController::class, 'make'])
            ->middleware('throttle:make')
            ->name('school.export');
        Route::get('/school/{school}/export.zip', [SchoolExportController::class, 'file'])->name('school.export.file');
    });
Route::get('/invitation/{token}', [AccountController::class, 'invited'])
    ->middleware('throttle:link')
    ->name('invitation');
Route::get('/account/forgot', [AccountController::class, 'forgot'])->name('account.forgot');
Route::post('/account/forgot', [AccountController::class, 'sendReset'])
    ->middleware('throttle:mail')
    ->name('account.forgot.send');
Route::get('/account/reset/{token}', [AccountController::class, 'reset'])->name('account.reset');
Route::post('/account/reset', [AccountController::class, 'setPassword'])
    ->middleware('throttle:account')
    ->name('account.reset.set');
Route::get('/back/{teacher}/{key}', [AccountController::class, 'return'])
    ->middleware('throttle:link')
    ->name('account.return');
Route::post('/back/{teacher}/{key}', [AccountController::class, 'returnAndJoin'])
    ->middleware('throttle:link')
    ->name('account.return.join');

// Those who may edit a plan.
Route::prefix('/plan/{plan}')
    ->middleware(HoldsPlan::class)
    ->group(function (): void {
        Route::get('/', [PlanController::class, 'show'])->name('plan');
        Route::delete('/', [LibraryController::class, 'delete'])->name('plan.delete');
        Route::post('/duplicate', [LibraryController::class, 'duplicate'])->name('plan.duplicate');
        Route::post('/archive', [LibraryController::class, 'archive'])->name('plan.archive');
        Route::get('/prompt/{prompt}/practice/print', [PracticeController::class, 'print'])
            ->name('plan.practice.print');
        Route::get('/start', [PlanController::class, 'beforeStart'])->name('plan.start');
        Route::post('/start', [PlanController::class, 'start'])
            ->middleware('throttle:start')
            ->name('plan.start.now');
        Route::get('/try', [PlanController::class, 'try'])->name('plan.try');
        Route::get('/try/{run}', [PlanController::class, 'trySeat'])->name('plan.try.student');
        Route::get('/take-out/plan.zip', [TakeOutController::class, 'zip'])->name('plan.zip');
        Route::post('/end-links', [PlanController::class, 'endLinks'])->name('plan.end-links');
        Route::get('/take-out/prompts.pdf', [TakeOutController::class, 'pdf'])->name('plan.pdf');
        Route::get('/take-out/questions.zip', [TakeOutController::class, 'qti'])->name('plan.qti');
    });

// The teachers of a session. Each route names its deed, and the core's table says who may do it when.
Route::prefix('/desk/{session}')
    ->middleware(HoldsDesk::class)
    ->scopeBindings()
    ->group(function (): void {
        Route::get('/', [DeskController::class, 'show'])
            ->middleware(May::route(Deed::Watch))
            ->name('desk');
        Route::get('/bands', [DeskController::class, 'refresh'])
            ->middleware(May::route(Deed::Watch))
            ->name('desk.bands');
        Route::get('/ended', [EndController::class, 'show'])
            ->middleware(May::route(Deed::Watch))
            ->name('desk.ended');
        Route::get('/record', [EndController::class, 'progress'])
            ->middleware(May::route(Deed::TakeRecord))
            ->name('desk.record');
        Route::post('/record', [EndController::class, 'make'])
            ->middleware(May::route(Deed::TakeRecord))
            ->name('desk.record.make');
        Route::get('/record.pdf', [EndController::class, 'pdf'])
            ->middleware(May::route(Deed::TakeRecord))
            ->name('desk.pdf');
        Route::get('/take', [EndController::class, 'take'])
            ->middleware(May::route(Deed::TakeRecord))
            ->name('desk.take');
        Route::get('/board.pdf', [OffersController::class, 'pdf'])
            ->middleware(May::route(Deed::TakeRecord))
            ->name('desk.board.pdf');
        Route::get('/record.zip', [EndController::class, 'zip'])
            ->middleware(May::route(Deed::TakeRecord))
            ->name('desk.zip');
        Route::get('/results.{sheet}', [EndController::class, 'sheet'])
            ->whereIn('sheet', ['csv', 'ods', 'xlsx'])
            ->middleware(May::route(Deed::TakeRecord))
            ->name('desk.sheet');
        Route::get('/statements.json', [EndController::class, 'statements'])
            ->middleware(May::route(Deed::TakeRecord))
            ->name('desk.statements');
        Route::delete('/', [EndController::class, 'forget'])
            ->middleware(May::route(Deed::Forget))
            ->name('desk.forget');
        Route::post('/go-on', [EndController::class, 'goOn'])
            ->middleware(['throttle:start', May::route(Deed::GoOn)])
            ->name('desk.go-on');
        Route::post('/keep', [KeepController::class, 'days'])
            ->middleware(May::route(Deed::ChooseKeep))
            ->name('desk.keep');
        Route::get('/student/{student}/everything.zip', [KeepController::class, 'everything'])
            ->middleware(May::route(Deed::TakeRecord))
            ->name('desk.student.everything');
        Route::delete('/student/{student}', [KeepController::class, 'forgetStudent'])
            ->middleware(May::route(Deed::ForgetStudent))
            ->name('desk.student.forget');
        Route::post('/hand-out', [HandOutController::class, 'store'])
            ->middleware(May::route(Deed::HandOut))
            ->name('desk.hand-out');
        Route::post('/prompt/{prompt}/hand-out/preview', [HandOutController::class, 'preview'])
            ->middleware(May::route(Deed::HandOutToSome))
            ->name('desk.give.preview');
        Route::post('/picture', [HandOutController::class, 'picture'])
            ->middleware(May::route(Deed::HandOutToSome))
            ->name('desk.picture');
        Route::post('/tray', TrayController::class)->middleware(May::route(Deed::ChangeSettings))->name('desk.tray');
        Route::post('/checks', [CheckController::class, 'judge'])
            ->middleware(May::route(Deed::Check))
            ->name('desk.check');
        Route::post('/again', [CheckController::class, 'again'])
            ->middleware(May::route(Deed::Check))
            ->name('desk.again');
        Route::post('/checks/restore', [CheckController::class, 'restore'])
            ->middleware(May::route(Deed::Check))
            ->name('desk.check.restore');
        Route::get('/prompt/{prompt}/proposed', [CheckController::class, 'proposed'])
            ->middleware(May::route(Deed::SeeWork))
            ->name('desk.proposed');
        Route::post('/prompt/{prompt}/proposed', [CheckController::class, 'accept'])
            ->middleware(May::route(Deed::Check))
            ->name('desk.proposed.accept');
        Route::post('/phrases', [CheckController::class, 'phrases'])
            ->middleware(May::route(Deed::Watch))
            ->name('desk.phrases');
        Route::post('/screen', [ScreenController::class, 'view'])
            ->middleware(May::route(Deed::ChooseScreen))
            ->name('desk.screen');
        Route::post('/showcase', [ScreenController::class, 'showcase'])
            ->middleware([May::route(Deed::ChooseScreen), May::route(Deed::SeeWork)])
            ->name('desk.showcase');
        Route::post('/end', [EndController::class, 'end'])
            ->middleware(May::route(Deed::End))
            ->name('desk.end');
        Route::post('/reopen', [EndController::class, 'reopen'])
            ->middleware(May::route(Deed::Reopen))
            ->name('desk.reopen');
    });

// The student of a seat.
Route::prefix('/seat/{seat}')
    ->middleware(HoldsSeat::class)
    ->group(function (): void {
        Route::get('/', [SeatController::class, 'show'])
            ->middleware(May::route(Deed::Hear))
            ->name('seat');
        Route::get('/again', [SeatController::class, 'again'])
            ->middleware(May::route(Deed::Hear))
            ->name('seat.again');
        Route::post('/leave', [SeatController::class, 'leave'])
            ->middleware(May::route(Deed::Hear))
            ->name('seat.leave');
        Route::get('/home', [WorkController::class, 'show'])
            ->middleware(May::route(Deed::TakeHome))
            ->name('seat.home');
        Route::get('/work.pdf', [WorkController::class, 'pdf'])
            ->middleware(May::route(Deed::TakeHome))
            ->name('seat.pdf');
        Route::get('/work/{canvas}/picture.svg', [WorkController::class, 'picture'])
            ->middleware(May::route(Deed::TakeHome))
            ->name('seat.work.picture');
        Route::get('/work/{canvas}.{format}', [WorkController::class, 'file'])
            ->middleware(May::route(Deed::TakeHome))
            ->whereIn('format', array_keys(CanvasFile::MIME))
            ->name('seat.file');
    });

// A student's private link to the own work.
Route::prefix('/home/{seat}/{key}')
    ->middleware(['throttle:link', TakesHome::class, May::route(Deed::TakeHome)])
    ->group(function (): void {
        Route::get('/', [WorkController::class, 'show'])->name('home.work');
        Route::get('/work.pdf', [WorkController::class, 'pdf'])->name('home.pdf');
        Route::get('/work/{canvas}/picture.svg', [WorkController::class, 'picture'])->name('home.work.picture');
        Route::get('/work/{canvas}.{format}', [WorkController::class, 'file'])
            ->whereIn('format', array_keys(CanvasFile::MIME))
            ->name('home.file');
    });

// The class screen.
Route::get('/screen/{session}/open/{key}', [ClassScreenController::class, 'open'])
    ->middleware('throttle:60,1,screen')
    ->name('screen.open');
Route::prefix('/screen/{session}')
    ->middleware(SeesScreen::class)
    ->scopeBindings()
    ->group(function (): void {
        Route::get('/', [ClassScreenController::class, 'show'])->name('screen');
        Route::get('/shown', [ClassScreenController::class, 'shownNow'])->name('screen.shown');
        Route::get('/offer/{offer}.svg', [ClassScreenController::class, 'offer'])->name('screen.offer');
        Route::get('/prompt/{prompt}.svg', [ClassScreenController::class, 'prompt'])->name('screen.prompt');
        Route::get('/showcase/{showcase}/{n}.svg', [ClassScreenController::class, 'picture'])
            ->whereNumber('n')
            ->name('screen.showcase');
        Route::get('/showcase/{showcase}/{n}-over.svg', [ClassScreenController::class, 'over'])
            ->whereNumber('n')
            ->name('screen.showcase.over');
        Route::get('/showcase/{showcase}/{n}-replay.json', [ClassScreenController::class, 'replay'])
            ->whereNumber('n')
            ->name('screen.showcase.replay');
        Route::get('/showcase/{showcase}/{n}-talk.webm', [ClassScreenController::class, 'talk'])
            ->whereNumber('n')
            ->name('screen.showcase.talk');
    });

if (config('crag.demo')) {
    Route::get('/demo/plans', [DemoController::class, 'plans'])->name('demo.plans');
    Route::get('/demo/student', [DemoController::class, 'student'])->name('demo.student');
    Route::get('/demo/schools', [DemoController::class, 'schools'])->name('demo.schools');
}
