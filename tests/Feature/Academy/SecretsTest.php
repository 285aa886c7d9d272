<?php

use App\Academy\OneTimeCode;
use App\Academy\PasswordRule;
use App\Academy\RecoveryCodes;
use App\Audit\SubjectKeys;
use Core\Chance\Chance;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

it('makes the codes that another program makes of the same secret', function () {
    // A telephone's way anew: base 32 and HMAC by another language.
    $script = <<<'PY'
        import base64,hmac,hashlib,struct,sys
        for line in sys.stdin:
            secret,step=line.split()
            key=base64.b32decode(secret)
            h=hmac.new(key,struct.pack('>Q',int(step)),hashlib.sha1).digest()
            o=h[19]&15
            print(str((struct.unpack('>I',h[o:o+4])[0]&0x7fffffff)%1000000).zfill(6))
        PY;
    $python = new Process(['python3', '--version']);
    if ($python->run() !== 0) {
        $this->markTestSkipped('no other program is here');
    }
    $asked = [];
    for ($i = 0; $i < 60; $i++) {
        $asked[] = [OneTimeCode::secret(), 50_000_000 + 7 * $i];
    }
    $other = new Process(['python3', '-c', $script]);
    $other->setInput(implode("\n", array_map(fn (array $a): string => "$a[0] $a[1]", $asked))."\n");
    $other->mustRun();
    foreach (explode("\n", trim($other->getOutput())) as $i => $code) {
        [$secret, $step] = $asked[$i];
        expect(OneTimeCode::step($secret, $code, $step * OneTimeCode::SECONDS))->toBe($step);
    }
});

it('has secrets and recovery codes that are no two alike', function () {
    $secrets = array_map(fn (): string => OneTimeCode::secret(), range(1, 200));
    expect(array_unique($secrets))->toHaveCount(200);
    foreach ($secrets as $secret) {
        expect($secret)->toMatch('/^[A-Z2-7]{32}$/');
    }
    $codes = array_merge(...array_map(fn (): array => RecoveryCodes::fresh(), range(1, 50)));
    expect(array_unique($codes))->toHaveCount(400);
    foreach ($codes as $code) {
        expect($code)->toMatch('/^[a-z0-9]{5}-[a-z0-9]{5}$/');
    }
});

it('writes an address for a second factor that says what it is of', function () {
    $address = OneTimeCode::address('ABCD', 'Moor & Gate', 'a b@c.example');
    expect($address)->toBe('otpauth://totp/Moor%20%26%20Gate:a%20b%40c.example?secret=ABCD&issuer=Moor%20%26%20Gate');
});

it('refuses every listed password of its length, however it is dressed up', function () {
    $list = explode("\n", (string) gzdecode((string) file_get_contents(resource_path('passwords/common.txt.gz'))));
    expect(count($list))->toBeGreaterThan(40_000);
    $chance = new Chance('passwords');
    $rule = new PasswordRule;
    $tried = 0;
    for ($run = 0; $run < many(400, 4000); $run++) {
        $word = $list[$chance->between(0, count($list) - 1)];
        if (preg_match('/^[a-z]{4,}$/', $word) !== 1) {
            continue;
        }
        foreach ([$word.$word.$word, ucfirst($word).'2026!!!!!!', '123456'.$word.'654321',
            mb_strtoupper($word).'........'] as $as) {
            if (mb_strlen($as) >= PasswordRule::SHORTEST && strlen($as) <= 72) {
                expect($rule->refuses($as))->toBe('common', $as);
                $tried++;
            }
        }
    }
    expect($tried)->toBeGreaterThan(200);
});

it('takes any four words of no list', function () {
    $chance = new Chance('words');
    $words = ['river', 'table', 'slow', 'green', 'paper', 'window', 'seven', 'north', 'candle', 'boat', 'quiet',
        'stone'];
    $rule = new PasswordRule(['Tam Brackley', 'tam@fernhollow.example', 'Fernhollow Golf Academy']);
    for ($run = 0; $run < 200; $run++) {
        $four = array_slice($chance->shuffled($words), 0, 4);
        foreach ([' ', '-', ''] as $between) {
            expect($rule->refuses(implode($between, $four)))->toBeNull(implode($between, $four));
        }
    }
});

it('seals values of a person so that nobody reads them without that person’s key', function () {
    $keys = app(SubjectKeys::class);
    $values = ['before' => ['pseudonym' => 'Äßé "x"'], 'after' => ['mass_kg' => 71.5, 'notes' => null]];
    $sealed = $keys->seal('golfer 1', $values);
    expect($sealed)->not->toContain('pseudonym')
        ->and($keys->open('golfer 1', $sealed))->toEqual($values)
        // Twice the same is not the same to look at.
        ->and($keys->seal('golfer 1', $values))->not->toBe($sealed)
        ->and($keys->open('golfer 2', $sealed))->toBeNull()
        ->and($keys->open('golfer 1', substr($sealed, 0, -4).'AAA='))->toBeNull()
        ->and($keys->open('golfer 1', ''))->toBeNull();
    expect(DB::table('subject_keys')->where('subject', 'golfer 1')->count())->toBe(1);
    $held = (string) DB::table('subject_keys')->where('subject', 'golfer 1')->value('held');
    expect(strlen(base64_decode($held, true) ?: ''))->toBeGreaterThan(60);
    $keys->forget('golfer 1');
    expect($keys->open('golfer 1', $sealed))->toBeNull();
});
