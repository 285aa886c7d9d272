<?php

use App\Academy\Letters;
use App\Models\Academy;
use App\Models\OutboxLetter;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Lang;
use Illuminate\Support\Facades\Mail;
use Symfony\Component\Mailer\Exception\TransportException;
use Symfony\Component\Mailer\Transport\AbstractTransport;

it('goes by the configured mailer where there is one, and leaves nothing on the page', function () {
    config(['mail.default' => 'array']);
    $this->actingAs($this->headCoach())->post('/people', ['name' => 'Runa Holt', 'email' => 'runa@f.example',
        'role' => 'instructor', 'on_panel' => '0'])->assertRedirect();
    $sent = Mail::mailer('array')->getSymfonyTransport()->messages();
    expect($sent)->toHaveCount(1)
        ->and($sent[0]->getOriginalMessage()->getTo()[0]->getAddress())->toBe('runa@f.example')
        ->and($sent[0]->getOriginalMessage()->getTextBody())->toContain('/invited/')->toContain('Hello Runa Holt')
        ->and($sent[0]->getOriginalMessage()->getHtmlBody())->toBeNull()
        ->and(OutboxLetter::query()->exists())->toBeFalse();
});

it('keeps what was done where the mailer fails', function () {
    Mail::extend('broken', fn () => new class extends AbstractTransport
    {
        public function __toString(): string
        {
            return 'broken';
        }

        protected function doSend(Symfony\Component\Mailer\SentMessage $message): void
        {
            throw new TransportException('no server');
        }
    });
    config(['mail.mailers.broken' => ['transport' => 'broken'], 'mail.default' => 'broken']);
    $this->actingAs($this->headCoach())->post('/people', ['name' => 'Runa Holt', 'email' => 'runa@f.example',
        'role' => 'instructor', 'on_panel' => '0'])->assertSessionHas('link');
    expect(App\Models\User::byAddress('runa@f.example'))->not->toBeNull();
});

it('sends nothing of what was not stored', function () {
    $tam = $this->person('tam');
    try {
        DB::transaction(function () use ($tam): void {
            app(Letters::class)->send('password-changed', $tam->email, $tam);
            throw new RuntimeException('it went wrong after all');
        });
    } catch (RuntimeException) {
        // That is what is tried here.
    }
    expect(OutboxLetter::query()->exists())->toBeFalse();
});

it('keeps letters encrypted, for a month, and shows them to head coaches only', function () {
    $this->post('/forgotten', ['email' => 'tam@fernhollow.example']);
    $held = DB::table('outbox_letters')->sole();
    expect($held->body)->not->toContain('/reset/')->not->toContain('Tam')
        ->and($held->subject)->toBe('A new password');
    $this->actingAs($this->person('tam'))->get('/academy/letters')->assertForbidden();
    $this->actingAs($this->headCoach())->get('/academy/letters')->assertOk()->assertSee('/reset/')
        ->assertSee('tam@fernhollow.example');
    DB::table('outbox_letters')->update(['created_at' => now()->subDays(31)]);
    $this->post('/logout');
    $this->post('/forgotten', ['email' => 'kit@fernhollow.example']);
    expect(OutboxLetter::query()->sole()->recipient)->toBe('kit@fernhollow.example');
});

it('has every letter whole: a subject, what it says, and all it speaks of', function () {
    Academy::here()?->update(['letterhead' => "Moor\n<b>Bay</b>"]);
    $tam = $this->person('tam');
    foreach (['invited', 'reset', 'password-changed', 'address-from', 'address-to', 'factor-dropped'] as $line) {
        expect(Lang::has("letters.$line.subject"))->toBeTrue($line)->and(Lang::has("letters.$line.body"))
            ->toBeTrue($line);
        app(Letters::class)->send($line, 'x@f.example', $tam, ['url' => 'http://127.0.0.1/x',
            'email' => 'new@f.example']);
        $letter = OutboxLetter::query()->latest('id')->firstOrFail();
        expect($letter->body)->toStartWith("Moor\n<b>Bay</b>\n")->toContain('Tam Brackley')
            ->not->toMatch('/:(name|url|email|academy)/')->not->toContain('&lt;')->not->toContain('&#039;');
    }
});
