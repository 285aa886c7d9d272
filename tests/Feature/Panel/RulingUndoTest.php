<?php

use App\Models\KeyEntry;
use App\Models\Undo;

it('takes a ruling back within its minute, and not once something has come of it', function () {
    $head = $this->headCoach();
    $winter = $this->round('Winter');
    $entry = $winter->keys()->firstOrFail()->entries()->where('grade', 'verified')->firstOrFail();
    $this->actingAs($head)->post("/panel/entries/$entry->id/ruling", ['ruling' => 'present',
        'reason' => 'seen on film'])
        ->assertSessionHas('undo');
    $ruled = KeyEntry::query()->where('ruling_reason', 'seen on film')->sole();
    $undo = Undo::query()->sole();
    $this->actingAs($this->person('tam'))->post("/undo/$undo->public_id")->assertNotFound();
    $this->actingAs($head)->post("/undo/$undo->public_id")->assertSessionHas('done');
    expect($ruled->refresh()->ruling)->toBe($entry->ruling)->and($ruled->ruling_reason)->toBe($entry->ruling_reason);
    $this->get('/record')->assertSee('took a ruling back');
    // Ruled anew since: it stands.
    $this->post("/panel/entries/$ruled->id/ruling", ['ruling' => 'present', 'reason' => 'once more']);
    $first = Undo::query()->latest('id')->firstOrFail();
    $this->travel(2)->seconds();
    $this->post("/panel/entries/$ruled->id/ruling", ['ruling' => 'absent', 'reason' => 'better seen']);
    $this->post("/undo/$first->public_id")->assertSessionHas('refused');
    expect($ruled->refresh()->ruling)->toBe('absent');
    // Frozen by a round: it stands.
    $last = Undo::query()->latest('id')->firstOrFail();
    $ruled->keyVersion->update(['frozen_at' => now()]);
    $this->post("/undo/$last->public_id")->assertSessionHas('refused');
});
