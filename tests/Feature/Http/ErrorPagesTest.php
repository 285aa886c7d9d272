<?php

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

it('has a page of its own for what can go wrong', function (int $status) {
    Route::get('/wrong', static fn () => abort($status));
    $this->get('/wrong')
        ->assertStatus($status)
        ->assertSee(__("errors.$status.title"))
        ->assertSee(__("errors.$status.says"))
        ->assertSee('href="/"', false);
})->with([400, 403, 404, 405, 413, 419, 429, 500, 503]);

it('says what went wrong inside without telling what it was', function () {
    config(['app.debug' => false]);
    Route::get('/broken', static fn () => throw new RuntimeException('a secret of the house'));
    $this->get('/broken')
        ->assertStatus(500)
        ->assertSee(__('errors.500.title'))
        ->assertDontSee('secret of the house');
});

it('stands where the database does not', function () {
    Route::get('/broken', static fn () => abort(503));
    config(['database.connections.pgsql.port' => 1]);
    DB::purge('pgsql');
    $this->get('/broken')->assertStatus(503)->assertSee(__('errors.503.title'));
    DB::purge('pgsql');
});

it('keeps a notice for the page, whatever the page before it still fetches', function () {
    $this->actingAs($this->headCoach())
        ->withSession(['done' => 'Handed in and locked.', '_flash' => ['old' => [], 'new' => ['done']]]);
    $this->get('/record/file', ['Sec-Fetch-Dest' => 'empty'])->assertOk();
    $this->get('/record', ['Sec-Fetch-Dest' => 'document'])->assertSee('Handed in and locked.');
    $this->get('/record', ['Sec-Fetch-Dest' => 'document'])->assertDontSee('Handed in and locked.');
});

it('answers a wrong method in its own words', function () {
    $this->actingAs($this->person('tam'))->delete('/practice')->assertStatus(405)
        ->assertSee('That address takes no such request')->assertDontSee('Symfony');
});
