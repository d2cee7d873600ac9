<?php

declare(strict_types=1);

use App\Http\Controllers as C;
use App\Http\Middleware\ByLink;
use App\Http\Middleware\Inside;
use App\Pages\PictureFinder;
use App\Store\Links;
use Embrel\Id\Ulid;
use Illuminate\Support\Facades\Route;

// What is not of the form of an id is at no address.
$ids = [
    ...['plan', 'topic', 'attachment', 'task', 'style', 'template', 'pattern', 'invitation', 'comment', 'vote', 'notice', 'sending'],
    'letter',
];
foreach ($ids as $id) {
    Route::pattern($id, Ulid::FORM);
}

Route::pattern('account', '[0-9]{1,15}');

Route::get('/', C\WelcomeController::class)->name('welcome');
Route::get('/sheets.css', C\SheetStyleController::class)->name('sheets.style');
Route::view('/keys', 'keys')->name('keys');
Route::get('/up', static fn() => response('Embrel is up.', 200, ['Content-Type' => 'text/plain; charset=utf-8']))->withoutMiddleware('web');
// For who looks after the hosts.
Route::middleware(Inside::class)->withoutMiddleware('web')->group(static function (): void {
    Route::get('/ready', C\ReadyController::class);
    Route::get('/metrics', [C\ReadyController::class, 'measures']);
});
Route::get('/plans/{plan}/pulse', C\PulseController::class)->withoutMiddleware('web')->name('plan.pulse');

// From a letter, for who is not signed in: the address is signed. A mail program may press it by itself (RFC 8058).
Route::middleware(['throttle:letters', 'signed'])->where(['user' => '[0-9]{1,15}'])->group(static function (): void {
    Route::get('/letters/off/{user}', [C\LettersController::class, 'show'])->name('letters.off');
    Route::post('/letters/off/{user}', [C\LettersController::class, 'off']);
});
Route::get('/invitations/{token}', [C\InvitationController::class, 'show'])
    ->where('token', '[A-Za-z0-9]{40}')
    ->middleware('throttle:links')
    ->name('invitation');
Route::post('/invitations/{token}', [C\InvitationController::class, 'accept'])
    ->where('token', '[A-Za-z0-9]{40}')
    ->middleware('throttle:sign-in');

// By the link of a plan, with an account or without.
Route::post('/read/{end}/password', [C\ReadController::class, 'password'])
    ->where(['end' => Links::FORM])
    ->middleware(['throttle:link-password', 'throttle:links', ByLink::class])
    ->name('read.password');
Route::middleware(['throttle:links', ByLink::class])->prefix('/read/{end}')->where(['end' => Links::FORM])->group(static function (): void {
    Route::get('/', [C\ReadController::class, 'outline'])->name('read');
    Route::get('/map', [C\ReadController::class, 'map'])->name('read.map');
    Route::get('/map.{type}', [C\ReadController::class, 'mapPicture'])
        ->where('type', 'png|jpeg|webp')
        ->middleware('throttle:pages')
        ->name('read.map-picture');
    Route::get('/draft', [C\ReadController::class, 'draft'])->name('read.draft');
    Route::get('/pages', [C\ReadController::class, 'pages'])->middleware('throttle:pages')->name('read.pages');
    Route::get('/page', [C\ReadController::class, 'alone'])->middleware('throttle:pages')->name('read.page');
    Route::get('/pictures/{picture}', [C\ReadController::class, 'picture'])->where('picture', '[0-9a-f]{64}')->name('read.picture');
    Route::post('/comments', [C\ReadController::class, 'comment'])->middleware('throttle:comments')->name('read.comments');
    Route::post('/copy', [C\ReadController::class, 'copy'])->middleware('throttle:uploads')->name('read.copy');
});

// A screen on another machine, which follows who shows a plan.
Route::middleware('throttle:links')->prefix('/watch/{end}')->where(['end' => Links::FORM])->group(static function (): void {
    Route::get('/', [C\WatchController::class, 'show'])->name('watch');
    Route::get('/deck', [C\WatchController::class, 'deck'])->name('watch.deck');
    Route::get('/map', [C\WatchController::class, 'map']);
    Route::get('/pictures/{picture}', [C\WatchController::class, 'picture'])->where('picture', '[0-9a-f]{64}');
});
Route::get('/watch/{end}/at', [C\WatchController::class, 'at'])->where(['end' => Links::FORM])->middleware('throttle:watching');

// A file that somebody was sent a link to.
Route::middleware('throttle:links')->prefix('/sent/{end}')->where(['end' => Links::FORM])->group(static function (): void {
    Route::get('/', [C\SentController::class, 'show'])->name('sent');
    Route::get('/file', [C\SentController::class, 'file'])->name('sent.file');
});

Route::middleware('guest')->group(static function (): void {
    Route::get('/sign-up', [C\SignUpController::class, 'create'])->name('sign-up');
    Route::post('/sign-up', [C\SignUpController::class, 'store'])->middleware('throttle:sign-in');
    Route::get('/sign-in', [C\SignInController::class, 'create'])->name('login');
    Route::post('/sign-in', [C\SignInController::class, 'store'])->middleware('throttle:sign-in');
    Route::get('/sign-in/code', [C\CodeController::class, 'create'])->name('sign-in.code');
    Route::post('/sign-in/code', [C\CodeController::class, 'store'])->middleware('throttle:second-step');
    Route::get(
        '/sign-in/organisation',
        [C\OrganisationController::class, 'away'],
    )->middleware('throttle:pages')->name('sign-in.organisation');
    Route::get('/sign-in/organisation/back', [C\OrganisationController::class, 'back'])
        ->middleware('throttle:pages')
        ->name('sign-in.organisation.back');
    Route::get('/sign-up/{token}', [C\SignUpController::class, 'edit'])
        ->where('token', '[A-Za-z0-9]{40}')
        ->name('sign-up.letter');
    Route::post('/sign-up/{token}', [C\SignUpController::class, 'open'])
        ->where('token', '[A-Za-z0-9]{40}')
        ->middleware('throttle:sign-in');
    Route::post('/sample', C\SampleController::class)->middleware('throttle:sign-in')->name('sample');
    Route::get('/forgotten', [C\PasswordResetController::class, 'create'])->name('forgotten');
    Route::post('/forgotten', [C\PasswordResetController::class, 'store'])->middleware('throttle:sign-in');
    Route::get('/reset/{token}', [C\PasswordResetController::class, 'edit'])->name('password.reset');
    Route::post('/reset', [C\PasswordResetController::class, 'update'])
        ->middleware('throttle:sign-in')
        ->name('reset');
});

Route::middleware('auth')->group(static function (): void {
    Route::post('/sign-out', [C\SignInController::class, 'destroy'])->name('sign-out');
    // For a page that was opened before the session that it is in now: it may go on sending.
    Route::get('/token', static fn() => response()->json(['token' => csrf_token()]))->name('token');
    Route::get('/account', [C\AccountController::class, 'edit'])->name('account');
    Route::put('/account', [C\AccountController::class, 'update']);
    Route::put('/account/password', C\PasswordController::class)->middleware('throttle:sign-in')->name('account.password');
    Route::get('/account/second-step', [C\SecondStepController::class, 'show'])->name('account.second-step');
    Route::middleware('throttle:second-step')->group(static function (): void {
        Route::post('/account/second-step', [C\SecondStepController::class, 'store']);
        Route::delete('/account/second-step', [C\SecondStepController::class, 'destroy']);
        Route::post('/account/second-step/codes', [C\SecondStepController::class, 'codes'])->name('account.second-step.codes');
    });
    Route::delete('/account/devices', C\DeviceController::class)->name('account.devices');
    Route::get('/account/download', C\DownloadEverythingController::class)->name('account.download');
    Route::post('/account/everything', C\WholeController::class)->middleware('throttle:uploads')->name('account.everything');
    Route::delete('/account', [C\AccountController::class, 'destroy'])->middleware('throttle:sign-in');

    // For who looks after accounts.
    Route::middleware('can:administer')->prefix('/administration')->group(static function (): void {
        Route::get('/', [C\AdministrationController::class, 'index'])->name('administration');
        Route::get('/people/{account}', [C\AdministrationController::class, 'show'])->name('administration.person');
        Route::put('/people/{account}', [C\AdministrationController::class, 'update']);
        Route::post('/people/{account}/closed', [C\AdministrationController::class, 'close'])->name('administration.closed');
        Route::delete('/people/{account}/closed', [C\AdministrationController::class, 'open']);
        Route::post('/people/{account}/sign-out', [C\AdministrationController::class, 'signOut'])->name('administration.sign-out');
        Route::delete('/people/{account}/second-step', [C\AdministrationController::class, 'withoutSecondStep'])
            ->name('administration.second-step');
    });

    Route::put('/account/letters', [C\LettersController::class, 'update'])->name('account.letters');
    Route::post('/notices/seen', [C\LettersController::class, 'seen'])->name('notices.seen');
    Route::middleware('late')->get('/plans', [C\PlanController::class, 'index'])->name('plans');
    Route::post('/plans', [C\PlanController::class, 'store']);
    Route::post('/plans/several', C\SeveralPlansController::class)->name('plans.several');
    Route::get('/dye', C\DyeController::class)->name('dye');
    Route::middleware('late')->get('/plan-names', C\PlanNamesController::class)->name('plan-names');

    Route::get('/number-forms', [C\NumberFormController::class, 'index']);
    Route::post('/number-forms', [C\NumberFormController::class, 'store']);
    Route::post('/number-forms/preview', [C\NumberFormController::class, 'preview']);
    Route::delete('/number-forms', [C\NumberFormController::class, 'destroy']);
    Route::get('/styles', [C\StyleController::class, 'index'])->name('styles');
    Route::post('/styles', [C\StyleController::class, 'store']);
    Route::delete('/styles/{style}', [C\StyleController::class, 'destroy']);
    Route::get('/signs', C\SignController::class)->name('signs');
    Route::get('/map-styles', [C\MapStyleController::class, 'index'])->name('map-styles');
    Route::post('/map-styles', [C\MapStyleController::class, 'store']);
    Route::middleware('throttle:uploads')->group(static function (): void {
        Route::post('/map-styles/file', [C\MapStyleController::class, 'takeIn']);
        Route::post('/map-styles/pictures', [C\MapStyleController::class, 'keepPicture']);
    });
    Route::get('/map-styles/pictures/{picture}', [C\MapStyleController::class, 'picture'])->where('picture', '[0-9a-f]{64}');
    Route::get('/map-styles/{style}', [C\MapStyleController::class, 'show']);
    Route::delete('/map-styles/{style}', [C\MapStyleController::class, 'destroy']);
    Route::post('/citation-styles', [C\CitationStyleController::class, 'takeIn'])
        ->middleware('throttle:uploads')
        ->name('citation-styles');
    Route::get('/citation-styles/{key}', [C\CitationStyleController::class, 'file']);
    Route::delete('/citation-styles/{key}', [C\CitationStyleController::class, 'destroy']);
    Route::post('/templates', [C\TemplateController::class, 'store'])
        ->middleware('throttle:uploads')
        ->name('templates');
    Route::middleware('can:use,template')->group(static function (): void {
        Route::get('/templates/{template}', [C\TemplateController::class, 'show'])->name('template');
        Route::put('/templates/{template}', [C\TemplateController::class, 'update']);
        Route::delete('/templates/{template}', [C\TemplateController::class, 'destroy']);
    });
    Route::get('/patterns', [C\PatternController::class, 'index'])->name('patterns');
    Route::delete('/patterns/{pattern}', [C\PatternController::class, 'destroy'])->middleware('can:use,pattern')->name('pattern');
    Route::middleware('can:use,task')->group(static function (): void {
        Route::get('/tasks/{task}', [C\TaskController::class, 'show'])->name('task');
        Route::get('/tasks/{task}/file', [C\TaskController::class, 'file'])->name('task.file');
    });

    Route::get('/intake', [C\IntakeController::class, 'create'])->name('intake');
    Route::post('/intake/files', [C\IntakeController::class, 'upload'])->middleware('throttle:uploads');
    Route::get('/intake/files/{token}', [C\IntakeController::class, 'waits']);
    Route::delete('/intake/files/{token}', [C\IntakeController::class, 'forget']);
    Route::post('/intake/preview', [C\IntakeController::class, 'preview'])
        ->middleware('throttle:uploads')
        ->name('intake.preview');
    Route::post('/intake', [C\IntakeController::class, 'store'])->middleware('throttle:uploads');

    // What whoever may read a plan can do: to look at it, and to keep what is their own about it.
    Route::middleware('can:view,plan')->group(static function (): void {
        Route::get('/plans/{plan}', [C\PlanController::class, 'show'])->name('plan');
        Route::get('/plans/{plan}/gather', [C\PlanController::class, 'gather'])->name('plan.gather');
        Route::get('/plans/{plan}/map', [C\PlanController::class, 'map'])->name('plan.map');
        Route::post('/plans/{plan}/map', C\MapController::class);
        Route::get('/plans/{plan}/draft', [C\PlanController::class, 'draft'])->name('plan.draft');
        // Where it was kept as a bookmark.
        Route::get('/plans/{plan}/notes', [C\PlanController::class, 'notes']);
        Route::get('/plans/{plan}/sources', [C\PlanController::class, 'sources'])->name('plan.sources');
        Route::get('/plans/{plan}/citation-styles', [C\CitationStyleController::class, 'index']);
        Route::get('/plans/{plan}/citation-styles/{key}', [C\CitationStyleController::class, 'show']);
        Route::post('/plans/{plan}/citation-styles/{key}', [C\CitationStyleController::class, 'keep']);
        Route::get('/plans/{plan}/check', [C\PlanController::class, 'check'])->name('plan.check');
        Route::get('/plans/{plan}/schedule', [C\PlanController::class, 'schedule'])->name('plan.schedule');
        Route::get('/plans/{plan}/days', [C\ScheduleController::class, 'show']);
        Route::get('/plans/{plan}/days/calendar', [C\ScheduleController::class, 'calendar'])->name('plan.calendar');
        Route::get('/plans/{plan}/days/table', [C\ScheduleController::class, 'table'])->name('plan.days-table');
        Route::middleware('late')->get('/plans/{plan}/small-map', C\SmallMapController::class)->name('plan.small-map');
        Route::post('/plans/{plan}/pattern', [C\PatternController::class, 'store'])->name('plan.pattern');
        Route::post('/plans/{plan}/duplicate', [C\PlanController::class, 'duplicate'])->name('plan.duplicate');
        Route::get('/plans/{plan}/findings', [C\CheckController::class, 'show']);
        Route::get('/plans/{plan}/written-today', C\WrittenTodayController::class);
        Route::put('/plans/{plan}/writing-days', C\WritingDaysController::class);
        Route::get('/plans/{plan}/rules', [C\CheckController::class, 'rules']);
        Route::get('/plans/{plan}/sorting-out', [C\PlanController::class, 'sortingOut'])->name('plan.sorting-out');
        Route::get('/plans/{plan}/pulse-address', [C\PulseController::class, 'sealed']);
        Route::get('/plans/{plan}/kept', C\KeptController::class)->name('plan.kept');
        Route::get('/plans/{plan}/changes', C\ChangeController::class)->name('plan.changes');
        Route::get('/plans/{plan}/place-names', C\PlaceNamesController::class);
        Route::get('/plans/{plan}/landing', C\LandingController::class)->name('plan.landing');
        Route::put('/plans/{plan}/folds', C\FoldController::class)->name('plan.folds');
        Route::put('/plans/{plan}/look', C\LookController::class)->name('plan.look');
        Route::middleware('late')->get('/plans/{plan}/find', [C\FindController::class, 'show'])->name('plan.find');
        Route::post('/plans/{plan}/near', [C\PromptController::class, 'near']);
        Route::get('/plans/{plan}/alike', [C\PromptController::class, 'alike']);
        Route::get('/plans/{plan}/terms', [C\PromptController::class, 'terms']);
        Route::get('/plans/{plan}/shorter', [C\PromptController::class, 'shorter']);
        Route::get('/plans/{plan}/first-draft', [C\PromptController::class, 'firstDraft']);
        Route::get('/plans/{plan}/pictures/{picture}', [C\PictureController::class, 'show'])
            ->where('picture', '[0-9a-f]{64}')
            ->scopeBindings()
            ->name('plan.picture');
        Route::get('/plans/{plan}/source-list', [C\SourceController::class, 'index'])->name('plan.source-list');
        Route::post('/plans/{plan}/source-list/typed', [C\SourceController::class, 'typed']);
        Route::post('/plans/{plan}/source-list/page', [C\SourceController::class, 'page'])->middleware('throttle:pages');
        Route::post('/plans/{plan}/source-list/number', [C\SourceController::class, 'number'])->middleware('throttle:pages');
        Route::post('/plans/{plan}/source-list/date', [C\SourceController::class, 'date']);
        Route::get('/plans/{plan}/source-list/elsewhere', [C\SourceController::class, 'elsewhere']);
        Route::get('/plans/{plan}/source-list/file', [C\SourceController::class, 'file'])->name('plan.source-file');
        Route::get('/plans/{plan}/cited', [C\SourceController::class, 'cited']);
        Route::get('/plans/{plan}/research', [C\ResearchController::class, 'show'])->name('plan.research');
        Route::post('/plans/{plan}/research/guesses', [C\ResearchController::class, 'show']);
        Route::get('/plans/{plan}/all-notes', C\NotesController::class)->name('plan.all-notes');
        Route::get('/plans/{plan}/attachments', [C\AttachmentController::class, 'index']);
        Route::get('/plans/{plan}/attachments/{attachment}', [C\AttachmentController::class, 'show'])
            ->scopeBindings()
            ->name('plan.attachment');
        Route::get('/plans/{plan}/attachments/{attachment}/play', [C\AttachmentController::class, 'play'])
            ->scopeBindings()
            ->name('plan.attachment.play');
        Route::middleware('late')->get('/plans/{plan}/history', [C\HistoryController::class, 'index'])->name('plan.history');
        Route::middleware('late')->get('/plans/{plan}/history/steps', [C\HistoryController::class, 'steps'])->name('plan.steps');
        Route::middleware('late')->get('/plans/{plan}/history/sides', [C\FilmController::class, 'sides'])->name('plan.sides');
        Route::get('/plans/{plan}/present', [C\PresentController::class, 'show'])->name('plan.present');
        Route::put('/plans/{plan}/present', [C\PresentController::class, 'keep']);
        Route::get('/plans/{plan}/present/speaker', [C\PresentController::class, 'speaker'])->name('plan.speaker');
        Route::get('/plans/{plan}/present/deck', [C\PresentController::class, 'deck']);
        Route::get('/plans/{plan}/present/map', [C\PresentController::class, 'map']);
        Route::put('/plans/{plan}/present/at', [C\PresentController::class, 'move']);
        Route::post('/plans/{plan}/present/link', [C\PresentController::class, 'link']);
        Route::delete('/plans/{plan}/present/link', [C\PresentController::class, 'unlink']);
        Route::get('/plans/{plan}/film', [C\PlanController::class, 'film'])->name('plan.film');
        Route::middleware('late')->get('/plans/{plan}/film/steps', [C\FilmController::class, 'steps']);
        Route::middleware('late')->get('/plans/{plan}/film/frames', [C\FilmController::class, 'frames']);
        Route::middleware('late')->get('/plans/{plan}/film/map/{seq}', [C\FilmController::class, 'map'])->where('seq', '[0-9]{1,15}');
        Route::middleware('late')->get('/plans/{plan}/history/{seq}', [C\HistoryController::class, 'show'])
            ->where('seq', '[0-9]{1,15}')
            ->name('plan.version');
        Route::post('/plans/{plan}/history/{seq}/plan', [C\HistoryController::class, 'newPlan'])
            ->where('seq', '[0-9]{1,15}')
            ->name('plan.of-version');
        Route::post('/plans/{plan}/seen', C\SeenController::class)->name('plan.seen');
        Route::get('/plans/{plan}/comments', [C\CommentController::class, 'index'])->name('plan.comments');
        Route::get('/plans/{plan}/votes', [C\VoteController::class, 'index']);
        Route::post('/plans/{plan}/comments/seen', [C\CommentController::class, 'seen']);
        Route::get('/plans/{plan}/people', [C\PeopleController::class, 'index'])->name('plan.people');
        Route::delete('/plans/{plan}/people/me', [C\PeopleController::class, 'leave'])->name('plan.leave');
        Route::post('/plans/{plan}/offer/answer', [C\PeopleController::class, 'answer'])->name('plan.offer-answer');
        Route::get('/plans/{plan}/topics/{topic}/note', C\NoteController::class)->name('plan.note');
        Route::get('/plans/{plan}/shares', C\TargetShareController::class)->name('plan.shares');
        Route::get('/plans/{plan}/hand-over', [C\HandOverController::class, 'show'])->name('hand-over');
        Route::middleware('late')->get(
            '/plans/{plan}/hand-over/preview',
            [C\HandOverController::class, 'preview'],
        )->name('hand-over.preview');
        Route::put('/plans/{plan}/hand-over', [C\HandOverController::class, 'keep']);
        Route::post('/plans/{plan}/hand-over/task', [C\HandOverController::class, 'queue'])
            ->middleware('throttle:uploads')
            ->name('hand-over.task');
        Route::get('/plans/{plan}/hand-over/sendings', [C\SendingController::class, 'index']);
        Route::post('/plans/{plan}/hand-over/sendings', [C\SendingController::class, 'store'])->middleware('throttle:invitations');
        Route::delete('/plans/{plan}/hand-over/sendings/{sending}', [C\SendingController::class, 'destroy']);
        Route::middleware('late')->get('/plans/{plan}/hand-over/sheets', [C\HandOverController::class, 'sheets'])->name('hand-over.sheets');
        Route::get('/plans/{plan}/hand-over/file', [C\HandOverController::class, 'download'])->name('hand-over.file');
    });

    // What is said about it.
    Route::middleware(['can:comment,plan', 'throttle:comments'])->group(static function (): void {
        Route::post('/plans/{plan}/comments', [C\CommentController::class, 'store']);
        Route::patch('/plans/{plan}/comments/{comment}', [C\CommentController::class, 'update']);
        Route::delete('/plans/{plan}/comments/{comment}', [C\CommentController::class, 'destroy']);
        Route::put('/plans/{plan}/votes/{vote}', [C\VoteController::class, 'give']);
        Route::post('/plans/{plan}/comments/{comment}/settle', [C\CommentController::class, 'settle']);
    });
    Route::post('/plans/{plan}/comments/{comment}/files', [C\CommentController::class, 'file'])
        ->middleware(['can:comment,plan', 'throttle:uploads']);

    // What changes a plan.
    Route::middleware('can:update,plan')->group(static function (): void {
        Route::patch('/plans/{plan}', [C\PlanController::class, 'update']);
        Route::post('/plans/{plan}/operations', C\OperationController::class)->name('plan.operations');
        Route::post('/plans/{plan}/comments/{comment}/take', [C\CommentController::class, 'take']);
        Route::post('/plans/{plan}/comments/{comment}/decline', [C\CommentController::class, 'decline']);
        Route::post('/plans/{plan}/undo', C\UndoController::class)->name('plan.undo');
        Route::post('/plans/{plan}/redo', C\RedoController::class)->name('plan.redo');
        Route::post('/plans/{plan}/find', [C\FindController::class, 'replace']);
        Route::post('/plans/{plan}/days/read', [C\ScheduleController::class, 'read'])->middleware('throttle:uploads');
        Route::post('/plans/{plan}/patterns', [C\PatternController::class, 'set'])->name('plan.patterns');
        Route::post('/plans/{plan}/findings/mend', [C\CheckController::class, 'mend']);
        Route::post('/plans/{plan}/pictures', [C\PictureController::class, 'store'])
            ->middleware('throttle:uploads')
            ->name('plan.pictures');
        Route::middleware('throttle:pages')->where(['found' => PictureFinder::ID])->group(static function (): void {
            Route::get('/plans/{plan}/picture-finder', [C\PictureFinderController::class, 'index']);
            Route::post('/plans/{plan}/picture-finder/{found}', [C\PictureFinderController::class, 'store']);
        });
        Route::get('/plans/{plan}/picture-finder/{found}/small', [C\PictureFinderController::class, 'small'])
            ->where(['found' => PictureFinder::ID])
            ->middleware('throttle:small-pictures');
        Route::post('/plans/{plan}/source-list', [C\SourceController::class, 'store'])->middleware('throttle:uploads');
        Route::post('/plans/{plan}/research', [C\ResearchController::class, 'store']);
        Route::get('/plans/{plan}/questions', [C\QuestionController::class, 'index']);
        Route::post('/plans/{plan}/questions', [C\QuestionController::class, 'store']);
        Route::delete('/plans/{plan}/questions', [C\QuestionController::class, 'destroy']);
        Route::get('/plans/{plan}/companion', [C\CompanionController::class, 'index']);
        Route::post('/plans/{plan}/companion', [C\CompanionController::class, 'send'])
            ->middleware('throttle:pages')
            ->name('plan.companion.send');
        Route::post('/plans/{plan}/companion/parcel', [C\CompanionController::class, 'parcel']);
        Route::post('/plans/{plan}/companion/{letter}/taken', [C\CompanionController::class, 'taken']);
        Route::post('/plans/{plan}/attachments', [C\AttachmentController::class, 'store'])->middleware('throttle:uploads');
        Route::delete('/plans/{plan}/attachments/{attachment}', [C\AttachmentController::class, 'destroy']);
        Route::post('/plans/{plan}/copies', C\CopyController::class)->name('plan.copies');
        Route::post('/plans/{plan}/history', [C\HistoryController::class, 'store']);
        Route::post('/plans/{plan}/history/{seq}/back', [C\HistoryController::class, 'goBack'])
            ->where('seq', '[0-9]{1,15}')
            ->name('plan.back');
        Route::get('/plans/{plan}/way-back', [C\WayBackController::class, 'show'])->name('way-back');
        Route::post('/plans/{plan}/way-back', [C\WayBackController::class, 'compare'])->middleware('throttle:uploads');
        Route::post('/plans/{plan}/way-back/accept', [C\WayBackController::class, 'accept'])->name('way-back.accept');
    });

    // What is about a plan as a whole.
    Route::middleware('can:manage,plan')->group(static function (): void {
        Route::delete('/plans/{plan}', [C\PlanController::class, 'destroy']);
        Route::put('/plans/{plan}/companion', [C\CompanionController::class, 'allow']);
        Route::post('/plans/{plan}/invitations', [C\PeopleController::class, 'invite'])->middleware('throttle:invitations');
        Route::delete('/plans/{plan}/invitations/{invitation}', [C\PeopleController::class, 'takeBack']);
        Route::put('/plans/{plan}/people/{person}', [C\PeopleController::class, 'update'])->where('person', '[0-9]{1,15}');
        Route::delete('/plans/{plan}/people/{person}', [C\PeopleController::class, 'remove'])->where('person', '[0-9]{1,15}');
        Route::post('/plans/{plan}/votes', [C\VoteController::class, 'store']);
        Route::post('/plans/{plan}/votes/{vote}/close', [C\VoteController::class, 'close']);
        Route::delete('/plans/{plan}/votes/{vote}', [C\VoteController::class, 'destroy']);
        Route::get('/plans/{plan}/history/work', [C\FilmController::class, 'work'])->name('plan.work');
        Route::get('/plans/{plan}/copies-given', [C\HandoutController::class, 'show'])->name('plan.handouts');
        Route::post('/plans/{plan}/copies-given', [C\HandoutController::class, 'store'])->middleware('throttle:uploads');
        Route::delete('/plans/{plan}/copies-given/{invitation}', [C\HandoutController::class, 'takeBack'])->name('plan.handout');
        Route::put('/plans/{plan}/offer', [C\PeopleController::class, 'offer']);
        Route::put('/plans/{plan}/link', [C\PeopleController::class, 'link']);
        Route::post('/plans/{plan}/link', [C\PeopleController::class, 'renew']);
        Route::delete('/plans/{plan}/link', [C\PeopleController::class, 'unlink']);
        Route::post('/plans/{plan}/restore', C\RestorePlanController::class)->withTrashed()->name('plan.restore');
    });
});
