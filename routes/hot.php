<?php

declare(strict_types=1);

/*
 * What open pages ask again and again. No session is opened for these; App\Http\Middleware\SameOrigin guards them.
 */

use App\Canvas\CanvasFile;
use App\Http\Controllers\BringInController;
use App\Http\Controllers\Desk\Asks\AskController;
use App\Http\Controllers\Desk\Asks\CardsController;
use App\Http\Controllers\Desk\Asks\RunController;
use App\Http\Controllers\Desk\Checks\ClassPictureController;
use App\Http\Controllers\Desk\Life\KeepController;
use App\Http\Controllers\Desk\Room\LiveTalkController;
use App\Http\Controllers\Desk\Room\PromptsController;
use App\Http\Controllers\Desk\Room\RoomController;
use App\Http\Controllers\Desk\Room\SeatsController;
use App\Http\Controllers\Desk\Show\LineUpController;
use App\Http\Controllers\Desk\Show\OffersController;
use App\Http\Controllers\Desk\Show\ScreenController;
use App\Http\Controllers\Desk\Watch\CanvasController;
use App\Http\Controllers\Desk\Watch\CoachController;
use App\Http\Controllers\Desk\Watch\PickController;
use App\Http\Controllers\Desk\Watch\TalkController;
use App\Http\Controllers\Desk\Watch\WatchController;
use App\Http\Controllers\Desk\Work\HandOutController;
use App\Http\Controllers\Desk\Work\LeadController;
use App\Http\Controllers\HealthController;
use App\Http\Controllers\LiveController;
use App\Http\Controllers\PictureController;
use App\Http\Controllers\Plans\DrawingController;
use App\Http\Controllers\Plans\EditController;
use App\Http\Controllers\Plans\GapsController;
use App\Http\Controllers\Plans\OtherPlansController;
use App\Http\Controllers\Plans\PlanController;
use App\Http\Controllers\Plans\PracticeController;
use App\Http\Controllers\Plans\TakeInController;
use App\Http\Controllers\PlotController;
use App\Http\Controllers\Screen\ClassScreenController;
use App\Http\Controllers\Student\InkController;
use App\Http\Controllers\Student\LiveTalkController as StudentLiveTalk;
use App\Http\Controllers\Student\OperationsController;
use App\Http\Controllers\Student\RoomController as StudentRoom;
use App\Http\Controllers\Student\SeatController;
use App\Http\Controllers\Student\TalkController as StudentTalk;
use App\Http\Middleware\HoldsDesk;
use App\Http\Middleware\HoldsPlan;
use App\Http\Middleware\HoldsSeat;
use App\Http\Middleware\May;
use App\Http\Middleware\SeesScreen;
use App\Http\Middleware\SendsWork;
use Crag\Session\Rules\Deed;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Route;

// A seat, session or plan that asks for too many files at once: nginx answers with this instead.
Route::get(
    '/busy',
    static fn (Request $request) => $request->expectsJson() || $request->isJson()
        ? response()->json(['message' => __('Too many files at once. Wait for the others, then try again.')], 429)
        : response()->view(
            'refused',
            ['sentence' => __('Too many files at once. Wait for the others, then try again.')],
            429,
        ),
);

// Whether the application answers.
Route::get('/up', [HealthController::class, 'up']);
// For the administrator: nginx says from where (CRAG_WATCH_FROM).
Route::get('/health', [HealthController::class, 'health']);
Route::get('/metrics', [HealthController::class, 'metrics']);

Route::get('/backdrop.svg', [PictureController::class, 'backdrop'])->name('backdrop');
Route::get('/asset/{asset}', [PictureController::class, 'asset'])->name('asset');
Route::get('/asset/{asset}/text', [PictureController::class, 'text'])->name('asset.text');
Route::get('/asset-light/{asset}', [PictureController::class, 'light'])->name('asset.light');
Route::get('/live/may-open', LiveController::class);

Route::prefix('/plan/{plan}')
    ->middleware(HoldsPlan::class)
    ->group(function (): void {
        Route::get('/state', [EditController::class, 'state'])->name('plan.state');
        Route::post('/edits', [EditController::class, 'set'])->name('plan.edits');
        Route::post('/step', [EditController::class, 'step'])->name('plan.step');
        Route::post('/prompts', [EditController::class, 'add'])->name('plan.prompts');
        Route::post('/prompt/{prompt}/edits', [EditController::class, 'set'])->name('plan.prompt.edits');
        Route::post('/prompt/{prompt}/place', [EditController::class, 'place'])->name('plan.prompt.place');
        Route::get('/prompt/{prompt}/canvas', [DrawingController::class, 'canvas'])->name('plan.canvas');
        Route::get('/prompt/{prompt}/picture.png', [DrawingController::class, 'picture'])->name('plan.picture');
        Route::post('/prompt/{prompt}/keep', [OtherPlansController::class, 'keep'])->name('plan.prompt.keep');
        Route::get('/others', [OtherPlansController::class, 'index'])->name('plan.others');
        Route::get('/others/{other}', [OtherPlansController::class, 'show'])->name('plan.other');
        Route::get('/ready', [OtherPlansController::class, 'ready'])->name('plan.ready');
        Route::get('/prompt/{prompt}/practice', [PracticeController::class, 'preview'])->name('plan.practice');
        Route::get('/prompt/{prompt}/gaps', GapsController::class)->middleware('throttle:upload')->name('plan.gaps');
        Route::post('/operations', [DrawingController::class, 'operations'])->name('plan.operations');
        Route::get('/canvas/{canvas}/log', [DrawingController::class, 'log'])->name('plan.log');
        Route::post('/bring-in', [DrawingController::class, 'bringIn'])
            ->middleware('throttle:upload')
            ->name('plan.bring-in');
        Route::post('/cards', [CardsController::class, 'plan'])->name('plan.cards');
        Route::post('/plot', [PlotController::class, 'plan'])->name('plan.plot');
        Route::post('/take-in', [TakeInController::class, 'file'])
            ->middleware('throttle:upload')
            ->name('plan.take-in');
        Route::get('/intake/{intake}', [TakeInController::class, 'progress'])->name('plan.intake');
        Route::post('/intake/{intake}/pages', [TakeInController::class, 'pages'])->name('plan.intake.pages');
        Route::get('/intake/{intake}/page/{page}.png', [TakeInController::class, 'page'])
            ->whereNumber('page')
            ->name('plan.intake.page');
        Route::post('/take-changes', [PlanController::class, 'takeChanges'])->name('plan.take-changes');
        Route::post('/follow/{run}', [PlanController::class, 'follow'])->name('plan.follow');
        Route::get('/work/{canvas}.{format}', [DrawingController::class, 'file'])
            ->whereIn('format', array_keys(CanvasFile::MIME))
            ->name('plan.file');
    });

Route::prefix('/desk/{session}')
    ->middleware(HoldsDesk::class)
    ->scopeBindings()
    ->group(function (): void {
        Route::post('/here', [WatchController::class, 'here'])
            ->middleware(May::route(Deed::Watch))
            ->name('desk.here');
        Route::get('/prompt/{prompt}/canvases', [WatchController::class, 'canvases'])
            ->middleware(May::route(Deed::Watch))
            ->name('desk.canvases');
        Route::get('/prompt/{prompt}/states', [WatchController::class, 'states'])
            ->middleware(May::route(Deed::Watch))
            ->name('desk.states');
        Route::get('/catch-up', [WatchController::class, 'catchUp'])
            ->middleware(May::route(Deed::Watch))
            ->name('desk.catch-up');
        Route::get('/prompt/{prompt}/lead', [LeadController::class, 'canvas'])
            ->middleware(May::route(Deed::Watch))
            ->name('desk.lead');
        Route::post('/operations', [LeadController::class, 'operations'])
            ->middleware(May::route(Deed::Lead))
            ->name('desk.operations');
        Route::post('/prompt/{prompt}/lead/show', [LeadController::class, 'show'])
            ->middleware(May::route(Deed::Lead))
            ->name('desk.lead.show');
        Route::post('/prompt/{prompt}/lead/ink', [LeadController::class, 'ink'])
            ->middleware(May::route(Deed::Lead))
            ->name('desk.lead.ink');
        Route::get('/canvas/{canvas}/log', [LeadController::class, 'log'])
            ->middleware(May::route(Deed::SeeWork))
            ->name('desk.log');
        Route::get('/canvas/{canvas}/answers', [CanvasController::class, 'answers'])
            ->middleware(May::route(Deed::SeeWork))
            ->name('desk.answers');
        Route::get('/canvas/{canvas}/reading', [CanvasController::class, 'reading'])
            ->middleware(May::route(Deed::SeeWork))
            ->name('desk.reading');
        Route::get('/canvas/{canvas}/talks', [TalkController::class, 'list'])
            ->middleware(May::route(Deed::SeeWork))
            ->name('desk.talks');
        Route::post('/canvas/{canvas}/talks', [TalkController::class, 'speak'])
            ->middleware(['throttle:upload', May::route(Deed::SpeakTo)])
            ->name('desk.speak');
        Route::post('/canvas/{canvas}/talk/{talk}/remove', [TalkController::class, 'remove'])
            ->middleware(May::route(Deed::SpeakTo))
            ->name('desk.talk.remove');
        Route::post('/canvas/{canvas}/talk/{talk}/show', [TalkController::class, 'show'])
            ->middleware([May::route(Deed::ChooseScreen), May::route(Deed::SeeWork)])
            ->name('desk.talk.show');
        Route::post('/canvas/{canvas}/talk/{talk}/line-up', [TalkController::class, 'lineUp'])
            ->middleware(May::route(Deed::LineUp))
            ->name('desk.talk.line-up');
        Route::get('/canvas/{canvas}/talk/{talk}.webm', [TalkController::class, 'sound'])
            ->middleware(May::route(Deed::SeeWork))
            ->name('desk.talk.sound');
        Route::get('/canvas/{canvas}/talk/{talk}/replay', [TalkController::class, 'replay'])
            ->middleware(May::route(Deed::SeeWork))
            ->name('desk.talk.replay');
        Route::get('/canvas/{canvas}/replay', [CanvasController::class, 'replay'])
            ->middleware(May::route(Deed::SeeWork))
            ->name('desk.replay');
        Route::get('/canvas/{canvas}/close', [CoachController::class, 'canvas'])
            ->middleware(May::route(Deed::SeeWork))
            ->name('desk.close');
        Route::post('/canvas/{canvas}/looked', [CoachController::class, 'looked'])
            ->middleware(May::route(Deed::SeeWork))
            ->name('desk.looked');
        Route::get('/canvas/{canvas}/notes', [CoachController::class, 'notes'])
            ->middleware(May::route(Deed::KeepNotes))
            ->name('desk.notes');
        Route::post('/coach', [CoachController::class, 'operations'])
            ->middleware(May::route(Deed::Coach))
            ->name('desk.coach');
        Route::post('/canvas/{canvas}/give-back', [CoachController::class, 'giveBack'])
            ->middleware(May::route(Deed::HandOutToSome))
            ->name('desk.give-back');
        Route::post('/canvas/{canvas}/give-back/undo', [CoachController::class, 'undoGiveBack'])
            ->middleware(May::route(Deed::HandOutToSome))
            ->name('desk.give-back.undo');
        Route::post('/give-back', [CoachController::class, 'giveBackSome'])
            ->middleware([May::route(Deed::HandOutToSome), May::route(Deed::SeeWork)])
            ->name('desk.give-back-some');
        Route::post('/give-back/undo', [CoachController::class, 'undoGiveBackSome'])
            ->middleware([May::route(Deed::HandOutToSome), May::route(Deed::SeeWork)])
            ->name('desk.give-back-some.undo');
        Route::post('/canvas/{canvas}/copy-to-lead', [CoachController::class, 'copyToLead'])
            ->middleware([May::route(Deed::Lead), May::route(Deed::SeeWork)])
            ->name('desk.copy-to-lead');
        Route::post('/take-on', [WatchController::class, 'takeOn'])
            ->middleware(May::route(Deed::TakeOn))
            ->name('desk.take-on');
        Route::post('/pick', [PickController::class, 'draw'])
            ->middleware(May::route(Deed::Pick))
            ->name('desk.pick');
        Route::post('/pick/{pick}/undo', [PickController::class, 'undo'])
            ->middleware(May::route(Deed::Pick))
            ->name('desk.pick.undo');
        Route::post('/line-up', [LineUpController::class, 'add'])
            ->middleware(May::route(Deed::LineUp))
            ->name('desk.line-up');
        Route::post('/line-up/step', [LineUpController::class, 'step'])
            ->middleware(May::route(Deed::ChooseScreen))
            ->name('desk.line-up.step');
        Route::post('/line-up/{entry}/change', [LineUpController::class, 'change'])
            ->middleware(May::route(Deed::LineUp))
            ->name('desk.line-up.change');
        Route::get('/offers', [OffersController::class, 'show'])
            ->middleware(May::route(Deed::Watch))
            ->name('desk.offers');
        Route::get('/offer/{offer}.svg', [OffersController::class, 'picture'])
            ->middleware(May::route(Deed::Watch))
            ->name('desk.offer.picture');
        Route::post('/offer/{offer}/accept', [OffersController::class, 'accept'])
            ->middleware(May::route(Deed::ChooseScreen))
            ->name('desk.offer.accept');
        Route::post('/offer/{offer}/decline', [OffersController::class, 'decline'])
            ->middleware(May::route(Deed::ChooseScreen))
            ->name('desk.offer.decline');
        Route::post('/offer/{offer}/arrange', [OffersController::class, 'arrange'])
            ->middleware(May::route(Deed::ChooseScreen))
            ->name('desk.offer.arrange');
        Route::post('/offer/{offer}/line-up', [OffersController::class, 'lineUp'])
            ->middleware(May::route(Deed::ChooseScreen))
            ->name('desk.offer.line-up');
        Route::post('/offers/vote', [OffersController::class, 'vote'])
            ->middleware(May::route(Deed::Ask))
            ->name('desk.offers.vote');
        Route::post('/offers/board', [OffersController::class, 'board'])
            ->middleware(May::route(Deed::ChooseScreen))
            ->name('desk.offers.board');
        Route::get('/talk', [ScreenController::class, 'talk'])
            ->middleware(May::route(Deed::Watch))
            ->name('desk.talk');
        Route::post('/moments', [ScreenController::class, 'moments'])
            ->middleware(May::route(Deed::ChooseScreen))
            ->name('desk.moments');
        Route::post('/lead-beside', [ScreenController::class, 'lead'])
            ->middleware(May::route(Deed::ChooseScreen))
            ->name('desk.lead-beside');
        Route::get('/showcase/{showcase}/{n}.svg', [ScreenController::class, 'picture'])
            ->middleware(May::route(Deed::Watch))
            ->whereNumber('n')
            ->name('desk.showcase.picture');
        Route::get('/showcase/{showcase}/{n}/over', [ScreenController::class, 'over'])
            ->middleware(May::route(Deed::ChooseScreen))
            ->whereNumber('n')
            ->name('desk.showcase.over');
        Route::post('/showcase/{showcase}/{n}/look', [ScreenController::class, 'look'])
            ->middleware(May::route(Deed::ChooseScreen))
            ->whereNumber('n')
            ->name('desk.showcase.look');
        Route::post('/showcase/{showcase}/{n}/replay', [ScreenController::class, 'replay'])
            ->middleware(May::route(Deed::ChooseScreen))
            ->whereNumber('n')
            ->name('desk.showcase.replay');
        Route::post('/showcase/{showcase}/{n}/hand-out', [ScreenController::class, 'handOut'])
            ->middleware(May::route(Deed::HandOut))
            ->whereNumber('n')
            ->name('desk.showcase.hand-out');
        Route::post('/praise', [ScreenController::class, 'praise'])
            ->middleware(May::route(Deed::ChooseScreen))
            ->name('desk.praise');
        Route::post('/shown-on', [ScreenController::class, 'on'])
            ->middleware(May::route(Deed::ChooseScreen))
            ->name('desk.shown-on');
        Route::post('/line-up/{entry}/remove', [LineUpController::class, 'remove'])
            ->middleware(May::route(Deed::LineUp))
            ->name('desk.line-up.remove');
        Route::post('/line-up/{entry}/beside', [LineUpController::class, 'showBeside'])
            ->middleware(May::route(Deed::ChooseScreen))
            ->name('desk.line-up.beside');
        Route::post('/line-up/{entry}/show', [LineUpController::class, 'show'])
            ->middleware(May::route(Deed::ChooseScreen))
            ->name('desk.line-up.show');
        Route::post('/bring-in', [BringInController::class, 'teacher'])
            ->middleware(['throttle:upload', May::route(Deed::Lead)])
            ->name('desk.bring-in');
        Route::get('/picture', [ClassPictureController::class, 'show'])
            ->middleware(May::route(Deed::Watch))
            ->name('desk.standings');
        Route::get('/groups', [ClassPictureController::class, 'groups'])
            ->middleware(May::route(Deed::Watch))
            ->name('desk.groups');
        Route::post('/groups', [ClassPictureController::class, 'keep'])
            ->middleware(May::route(Deed::MakeGroups))
            ->name('desk.groups.keep');
        Route::get('/ask', [AskController::class, 'show'])
            ->middleware(May::route(Deed::Watch))
            ->name('desk.ask');
        Route::post('/asks', [AskController::class, 'ask'])
            ->middleware(May::route(Deed::Ask))
            ->name('desk.asks');
        Route::post('/ask/{ask}/close', [AskController::class, 'close'])
            ->middleware(May::route(Deed::Ask))
            ->name('desk.ask.close');
        Route::post('/ask/{ask}/show', [AskController::class, 'reveal'])
            ->middleware(May::route(Deed::Ask))
            ->name('desk.ask.show');
        Route::post('/ask/{ask}/words', [AskController::class, 'reword'])
            ->middleware(May::route(Deed::Ask))
            ->name('desk.ask.words');
        Route::post('/ask/{ask}/longer', [AskController::class, 'longer'])
            ->middleware(May::route(Deed::Ask))
            ->name('desk.ask.longer');
        Route::post('/ask-step', [AskController::class, 'step'])
            ->middleware(May::route(Deed::Ask))
            ->name('desk.ask.step');
        Route::get('/ask-choices', [AskController::class, 'choices'])
            ->middleware(May::route(Deed::Watch))
            ->name('desk.ask.choices');
        Route::post('/ask/{ask}/one-of-each', [AskController::class, 'oneOfEach'])
            ->middleware(May::route(Deed::ChooseScreen))
            ->name('desk.ask.one-of-each');
        Route::post('/ask-works', [AskController::class, 'works'])
            ->middleware(May::route(Deed::Ask))
            ->name('desk.ask.works');
        Route::post('/ask/{ask}/again', [AskController::class, 'again'])
            ->middleware(May::route(Deed::Ask))
            ->name('desk.ask.again');
        Route::post('/ask-away', [AskController::class, 'putAway'])
            ->middleware(May::route(Deed::Ask))
            ->name('desk.ask.away');
        Route::post('/runs', [RunController::class, 'start'])
            ->middleware(May::route(Deed::Ask))
            ->name('desk.runs');
        Route::post('/plot', [PlotController::class, 'desk'])
            ->middleware(May::route(Deed::Lead))
            ->name('desk.plot');
        Route::post('/cards', [CardsController::class, 'desk'])
            ->middleware(May::route(Deed::Ask))
            ->name('desk.cards');
        Route::post('/practice', [RunController::class, 'practice'])
            ->middleware(May::route(Deed::Ask))
            ->name('desk.practice');
        Route::post('/run/{run}/next', [RunController::class, 'next'])
            ->middleware(May::route(Deed::Ask))
            ->name('desk.run.next');
        Route::post('/run/{run}/end', [RunController::class, 'end'])
            ->middleware(May::route(Deed::Ask))
            ->name('desk.run.end');
        Route::post('/run/{run}/show', [RunController::class, 'show'])
            ->middleware(May::route(Deed::Ask))
            ->name('desk.run.show');
        Route::post('/run/{run}/away', [RunController::class, 'putAway'])
            ->middleware(May::route(Deed::Ask))
            ->name('desk.run.away');
        Route::post('/pens', [RoomController::class, 'pens'])
            ->middleware(May::route(Deed::SetPens))
            ->name('desk.pens');
        Route::post('/timer', [RoomController::class, 'timer'])
            ->middleware(May::route(Deed::SetTimer))
            ->name('desk.timer');
        Route::post('/door', [RoomController::class, 'door'])
            ->middleware(May::route(Deed::SetDoor))
            ->name('desk.door');
        Route::post('/pace', [RoomController::class, 'pace'])
            ->middleware(May::route(Deed::ChangePrompts))
            ->name('desk.pace');
        Route::post('/own-time', [KeepController::class, 'openUntil'])
            ->middleware(May::route(Deed::ChangePrompts))
            ->name('desk.own-time');
        Route::post('/settings', [RoomController::class, 'settings'])
            ->middleware(May::route(Deed::ChangeSettings))
            ->name('desk.settings');
        Route::post('/act/{act}/undo', [RoomController::class, 'undo'])
            ->middleware(May::route(Deed::Watch))
            ->name('desk.act.undo');
        Route::post('/keep-open', [RoomController::class, 'keepOpen'])
            ->middleware(May::route(Deed::KeepOpen))
            ->name('desk.keep-open');
        Route::get('/student/{student}', [SeatsController::class, 'show'])
            ->middleware(May::route(Deed::Watch))
            ->name('desk.student');
        Route::post('/let-in', [SeatsController::class, 'letIn'])
            ->middleware(May::route(Deed::LetIn))
            ->name('desk.let-in');
        Route::post('/turn-away', [SeatsController::class, 'turnAway'])
            ->middleware(May::route(Deed::LetIn))
            ->name('desk.turn-away');
        Route::post('/send-out', [SeatsController::class, 'sendOut'])
            ->middleware(May::route(Deed::SendOut))
            ->name('desk.send-out');
        Route::post('/clear-fresh', [SeatsController::class, 'clearFresh'])
            ->middleware(May::route(Deed::SendOut))
            ->name('desk.clear-fresh');
        Route::post('/rename', [SeatsController::class, 'rename'])
            ->middleware(May::route(Deed::Rename))
            ->name('desk.rename');
        Route::post('/hand', [SeatsController::class, 'hand'])
            ->middleware(May::route(Deed::Answer))
            ->name('desk.hand');
        Route::post('/live-talk', [LiveTalkController::class, 'ask'])
            ->middleware(May::route(Deed::TalkLive))
            ->name('desk.live-talk');
        Route::post('/live-talk/{talk}', [LiveTalkController::class, 'tell'])
            ->middleware(May::route(Deed::TalkLive))
            ->name('desk.live-talk.tell');
        Route::post('/message/{message}/remove', [SeatsController::class, 'removeMessage'])
            ->middleware(May::route(Deed::Answer))
            ->name('desk.message.remove');
        Route::post('/prompts', [PromptsController::class, 'add'])
            ->middleware(May::route(Deed::ChangePrompts))
            ->name('desk.prompts');
        Route::post('/prompt/{prompt}/gather', [PromptsController::class, 'gather'])
            ->middleware(May::route(Deed::ChangePrompts))
            ->name('desk.gather');
        Route::post('/prompt/{prompt}/state', [PromptsController::class, 'set'])
            ->middleware(May::route(Deed::ChangePrompts))
            ->name('desk.prompt.state');
        Route::post('/prompt/{prompt}/share', [PromptsController::class, 'share'])
            ->middleware(May::route(Deed::ChangePrompts))
            ->name('desk.prompt.share');
        Route::post('/prompt/{prompt}/move', [PromptsController::class, 'move'])
            ->middleware(May::route(Deed::ChangePrompts))
            ->name('desk.prompt.move');
        Route::post('/prompt/{prompt}/reader', [PromptsController::class, 'reader'])
            ->middleware(May::route(Deed::ChangePrompts))
            ->name('desk.reader');
        Route::post('/prompt/{prompt}/reveal', [PromptsController::class, 'reveal'])
            ->middleware(May::route(Deed::Reveal))
            ->name('desk.reveal');
        Route::post('/prompt/{prompt}/hand-out', [HandOutController::class, 'give'])
            ->middleware(May::route(Deed::HandOutToSome))
            ->name('desk.give');
        Route::post('/handout/{handout}/undo', [HandOutController::class, 'undo'])
            ->middleware(May::route(Deed::HandOutToSome))
            ->name('desk.handout.undo');
        Route::post('/handout/{handout}/again', [HandOutController::class, 'again'])
            ->middleware(May::route(Deed::HandOutToSome))
            ->name('desk.handout.again');
        Route::get('/work/{canvas}/picture.svg', [CanvasController::class, 'picture'])
            ->middleware(May::route(Deed::SeeWork))
            ->name('desk.work.picture');
        Route::get('/work/{canvas}.{format}', [CanvasController::class, 'file'])
            ->middleware(May::route(Deed::SeeWork))
            ->whereIn('format', array_keys(CanvasFile::MIME))
            ->name('desk.file');
    });

Route::prefix('/seat/{seat}')
    ->middleware(HoldsSeat::class)
    ->group(function (): void {
        Route::get('/canvas', [SeatController::class, 'canvas'])
            ->middleware(May::route(Deed::SeeOwnWork))
            ->name('seat.canvas');
        Route::get('/pad', [SeatController::class, 'pad'])
            ->middleware(May::route(Deed::AnswerAsk))
            ->name('seat.pad');
        Route::get('/canvas/{canvas}/log', [SeatController::class, 'log'])
            ->middleware(May::route(Deed::SeeOwnWork))
            ->name('seat.log');
        Route::post('/plot', [PlotController::class, 'student'])
            ->middleware(May::route(Deed::SeeOwnWork))
            ->name('seat.plot');
        Route::post('/read-ink', [InkController::class, 'read'])
            ->middleware(['throttle:ink', May::route(Deed::SeeOwnWork)])
            ->name('seat.read-ink');
        Route::post('/learn-ink', [InkController::class, 'learn'])
            ->middleware(['throttle:ink', May::route(Deed::SeeOwnWork)])
            ->name('seat.learn-ink');
        Route::post('/bring-in', [BringInController::class, 'student'])
            ->middleware(['throttle:upload', May::route(Deed::BringIn)])
            ->name('seat.bring-in');
        Route::get('/catch-up', [SeatController::class, 'catchUp'])
            ->middleware(May::route(Deed::Hear))
            ->name('seat.catch-up');
        Route::get('/lead', [StudentRoom::class, 'lead'])
            ->middleware(May::route(Deed::SeeLead))
            ->name('seat.lead');
        Route::post('/hand', [StudentRoom::class, 'hand'])
            ->middleware(May::route(Deed::PutHandUp))
            ->name('seat.hand');
        Route::post('/write', [StudentRoom::class, 'write'])
            ->middleware(May::route(Deed::Write))
            ->name('seat.write');
        Route::post('/talk', [StudentTalk::class, 'send'])
            ->middleware(['throttle:upload', May::route(Deed::TalkThrough)])
            ->name('seat.talk');
        Route::get('/talk/{talk}.webm', [StudentTalk::class, 'hear'])
            ->middleware(May::route(Deed::SeeShown))
            ->name('seat.talk.hear');
        Route::post('/live-talk/{talk}', StudentLiveTalk::class)
            ->middleware(May::route(Deed::AnswerTalk))
            ->name('seat.live-talk');
        Route::post('/send', [StudentRoom::class, 'send'])
            ->middleware(May::route(Deed::Send))
            ->name('seat.send');
        Route::post('/take-back', [StudentRoom::class, 'takeBack'])
            ->middleware(May::route(Deed::TakeBack))
            ->name('seat.take-back');
        Route::post('/turn-to', [StudentRoom::class, 'turnTo'])
            ->middleware(May::route(Deed::TurnTo))
            ->name('seat.turn-to');
        Route::post('/code', [StudentRoom::class, 'code'])
            ->middleware(May::route(Deed::ChangeDevice))
            ->name('seat.code');
        Route::get('/showcase/{showcase}/{n}.svg', [ClassScreenController::class, 'toStudent'])
            ->middleware(May::route(Deed::SeeShown))
            ->whereNumber('n')
            ->name('seat.showcase');
        Route::get('/showcase/{showcase}/{n}-over.svg', [ClassScreenController::class, 'overToStudent'])
            ->middleware(May::route(Deed::SeeShown))
            ->whereNumber('n')
            ->name('seat.showcase.over');
        Route::get('/showcase/{showcase}/{n}-replay.json', [ClassScreenController::class, 'replayToStudent'])
            ->middleware(May::route(Deed::SeeShown))
            ->whereNumber('n')
            ->name('seat.showcase.replay');
        Route::get('/showcase/{showcase}/{n}-talk.webm', [ClassScreenController::class, 'talkToStudent'])
            ->middleware(May::route(Deed::SeeShown))
            ->whereNumber('n')
            ->name('seat.showcase.talk');
        Route::post('/keep-back', [StudentRoom::class, 'keepBack'])
            ->middleware(May::route(Deed::KeepBack))
            ->name('seat.keep-back');
        Route::post('/offer', [StudentRoom::class, 'offer'])
            ->middleware(May::route(Deed::Offer))
            ->name('seat.offer');
        Route::post('/ask', [StudentRoom::class, 'answerAsk'])
            ->middleware(May::route(Deed::AnswerAsk))
            ->name('seat.ask');
        Route::post('/light', [StudentRoom::class, 'light'])
            ->middleware(May::route(Deed::ChooseLight))
            ->name('seat.light');
        Route::post('/knock', [StudentRoom::class, 'knock'])
            ->middleware(May::route(Deed::KnockAgain))
            ->name('seat.knock');
        Route::post('/got', [StudentRoom::class, 'got'])
            ->middleware(May::route(Deed::Hear))
            ->name('seat.got');
    });
Route::post('/seat/{seat}/operations', OperationsController::class)
    ->middleware(SendsWork::route(Deed::Hear))
    ->name('seat.operations');

Route::get('/screen/{session}/catch-up', [ClassScreenController::class, 'catchUp'])
    ->middleware(SeesScreen::class)
    ->name('screen.catch-up');
