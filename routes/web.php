<?php

declare(strict_types=1);

use App\Http\Controllers\CutController;
use App\Http\Controllers\CuttingController;
use App\Http\Controllers\DesignController;
use App\Http\Controllers\DraftController;
use App\Http\Controllers\ExchangeController;
use App\Http\Controllers\FitController;
use App\Http\Controllers\FlangeController;
use App\Http\Controllers\HandController;
use App\Http\Controllers\JobController;
use App\Http\Controllers\LogController;
use App\Http\Controllers\MeshController;
use App\Http\Controllers\RackController;
use App\Http\Controllers\RecordController;
use App\Http\Controllers\SearchController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\StoresController;
use App\Http\Controllers\SurveyController;
use App\Http\Controllers\TemplateController;
use App\Models\Job;
use App\Models\StoreItem;
use Illuminate\Support\Facades\Route;

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SessionController::class, 'create'])->name('login');
    Route::post('/sign-in', [SessionController::class, 'store']);
});

Route::get('/session', [SessionController::class, 'show']);

Route::middleware(['auth', 'throttle:edits'])->group(function (): void {
    Route::post('/sign-out', [SessionController::class, 'destroy']);
    Route::get('/', RackController::class)->can('viewAny', Job::class);
    Route::post('/jobs', [JobController::class, 'store'])->can('create', Job::class);
    Route::get('/jobs/{job}/job.json', [JobController::class, 'export'])->can('view', 'job');
    Route::get('/jobs/{job}/stored.json', [JobController::class, 'stored'])->can('view', 'job');
    Route::post('/jobs/{job}/survey/flange', [FlangeController::class, 'read'])->can('update', 'job');
    Route::get('/jobs/{job}/flange.dxf', [FlangeController::class, 'write'])->can('view', 'job');
    Route::get('/jobs/{job}/template.{format}', TemplateController::class)->can('view', 'job')->whereIn('format', ['svg', 'dxf', 'pdf']);
    Route::get('/jobs/{job}/lra.csv', [ExchangeController::class, 'lra'])->can('view', 'job');
    Route::get('/jobs/{job}/xyz.csv', [ExchangeController::class, 'xyz'])->can('view', 'job');
    Route::get('/jobs/{job}/cut-list.csv', [ExchangeController::class, 'cutList'])->can('view', 'job');
    Route::get('/jobs/{job}/runs.{format}', [ExchangeController::class, 'drawing'])->can('view', 'job')->whereIn('format', ['dxf', 'step', 'stl']);
    Route::get('/jobs/{job}/route-problem.json', [ExchangeController::class, 'problem'])->can('view', 'job');
    Route::post('/jobs/{job}/read-routes', [ExchangeController::class, 'readRoutes'])->can('update', 'job');
    Route::post('/jobs/{job}/paste', [ExchangeController::class, 'paste'])->can('update', 'job');
    Route::post('/jobs/{job}/meshes', [MeshController::class, 'store'])->can('update', 'job');
    Route::get('/jobs/{job}/meshes/{fingerprint}', [MeshController::class, 'show'])->can('view', 'job')->where('fingerprint', '[0-9a-f]{32}');
    Route::controller(SurveyController::class)->prefix('/jobs/{job}/survey')->middleware('can:update,job')->group(function (): void {
        Route::post('/kits', 'kits');
        Route::post('/kit', 'kit');
        Route::post('/row', 'row');
        Route::post('/mirror', 'mirror');
        Route::post('/collector', 'collector');
        Route::post('/scrolls', 'scrolls');
    });
    Route::get('/stores', [StoresController::class, 'index'])->can('viewAny', Job::class);
    Route::get('/stores/stores.csv', [StoresController::class, 'csv'])->can('viewAny', Job::class);
    Route::get('/stores/reorder.csv', [StoresController::class, 'reorder'])->can('viewAny', Job::class);
    Route::get('/stores/labels.pdf', [CuttingController::class, 'offcutLabels'])->can('viewAny', Job::class);
    Route::post('/stores/items', [StoresController::class, 'add'])->can('create', StoreItem::class);
    Route::post('/stores/counts', [StoresController::class, 'count'])->can('create', StoreItem::class);
    Route::get('/stores/items/{item}/entries', [StoresController::class, 'entries'])->can('viewAny', Job::class);
    Route::post('/stores/items/{item}/entries', [StoresController::class, 'enter'])->can('enter', 'item');
    Route::put('/stores/items/{item}', [StoresController::class, 'update'])->can('update', 'item');
    Route::get('/jobs/{job}/cutting', [CuttingController::class, 'show'])->can('view', 'job');
    Route::post('/jobs/{job}/cutting', [CuttingController::class, 'store'])->can('log', 'job');
    Route::post('/jobs/{job}/promises', [CuttingController::class, 'promise'])->can('log', 'job');
    Route::get('/jobs/{job}/shopping.csv', [CuttingController::class, 'shoppingCsv'])->can('view', 'job');
    Route::get('/jobs/{job}/shopping.pdf', [CuttingController::class, 'shoppingPdf'])->can('view', 'job');
    Route::get('/jobs/{job}/labels.pdf', [CuttingController::class, 'labels'])->can('view', 'job');
    Route::get('/jobs/{job}/record.pdf', RecordController::class)->can('view', 'job');
    Route::put('/jobs/{job}/draft', [DraftController::class, 'update'])->can('update', 'job');
    Route::post('/jobs/{job}/preview', [DraftController::class, 'preview'])->can('view', 'job');
    Route::post('/jobs/{job}/why', [DraftController::class, 'why'])->can('view', 'job');
    Route::post('/jobs/{job}/hand', HandController::class)->can('view', 'job');
    Route::post('/jobs/{job}/routes', [DraftController::class, 'routes'])->can('view', 'job');
    Route::post('/jobs/{job}/searches', [SearchController::class, 'store'])->can('update', 'job');
    Route::post('/jobs/{job}/designs/compare', [DesignController::class, 'compare'])->can('view', 'job')->middleware('heavy');
    Route::post('/jobs/{job}/cuts/least', [CutController::class, 'least'])->can('view', 'job')->middleware('heavy');
    Route::post('/jobs/{job}/cuts/joint', [CutController::class, 'joint'])->can('view', 'job');
    Route::post('/jobs/{job}/fit/measured', [FitController::class, 'measured'])->can('view', 'job');
    Route::post('/jobs/{job}/fit/as-built', [FitController::class, 'asBuilt'])->can('view', 'job');
    Route::post('/jobs/{job}/designs/take', [DesignController::class, 'take'])->can('update', 'job');
    Route::post('/jobs/{job}/insertion', [SearchController::class, 'insertion'])->can('view', 'job')->middleware('heavy');
    Route::get('/jobs/{job}/searches/{search}', [SearchController::class, 'show'])->can('view', 'job')->where('search', '[0-9]{1,18}');
    Route::post('/jobs/{job}/searches/{search}/stop', [SearchController::class, 'stop'])->can('update', 'job')->where('search', '[0-9]{1,18}');
    Route::post('/jobs/{job}/searches/{search}/put-away', [SearchController::class, 'putAway'])->can('update', 'job')->where('search', '[0-9]{1,18}');
    Route::post('/jobs/{job}/release', [DraftController::class, 'release'])->can('update', 'job');
    Route::post('/jobs/{job}/revise', [DraftController::class, 'revise'])->can('update', 'job');
    Route::post('/jobs/{job}/log', [LogController::class, 'store'])->can('log', 'job');
    Route::get('/jobs/{job}/log', [LogController::class, 'index'])->can('view', 'job');
    Route::get('/jobs/{job}/log.csv', [LogController::class, 'csv'])->can('view', 'job');
    Route::get('/jobs/{job}/{stage?}', [JobController::class, 'show'])->whereIn('stage', JobController::STAGES)->can('view', 'job');
});
