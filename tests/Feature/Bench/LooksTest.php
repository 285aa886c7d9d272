<?php

use Core\Codebook\CodebookDocument;
use Core\Codebook\StandardLenses;
use Core\Simulation\FaultLook;
use Core\Simulation\Plant;
use Illuminate\Support\Facades\Artisan;

/** @return array<string, mixed> */
function look(string $folder, string $name): array
{
    return json_decode(file_get_contents("$folder/$name.json"), true, flags: JSON_THROW_ON_ERROR);
}

it('has a picture of every fault of the codebook, under whatever lens it counts', function () {
    foreach (array_keys(StandardLenses::rows()) as $lens) {
        foreach (CodebookDocument::standard()->under($lens)->keys() as $fault) {
            $look = look(public_path('looks'), $fault);
            expect($look['fault'])->toBe($fault)
                ->and($look['with']['stations'])->toHaveKey($look['station'])
                ->and(count($look['with']['share']))->toBe(count($look['with']['points']['pelvis'][0]));
        }
    }
});

it('shows a fault that its own rules find in it', function (string $fault) {
    expect(FaultLook::isThere($fault))->toBeTrue();
})->with(fn () => array_slice(Plant::FAULTS, 0, many(5, 99)));

it('ships the pictures that the command makes', function () {
    $out = sys_get_temp_dir().'/looks-'.bin2hex(random_bytes(4));
    expect(Artisan::call('codebook:looks', ['--fault' => ['heel-pop', 'late-load'], '--out' => $out]))->toBe(0);
    foreach (['without', 'heel-pop', 'late-load'] as $name) {
        $of = static fn (array $all): array => $all['with'] ?? $all;
        [$made, $shipped] = [$of(look($out, $name)), $of(look(public_path('looks'), $name))];
        // Rounded to the millimetre: another processor may round the last one otherwise.
        $apart = array_map(
            static fn (int $a, int $b): int => abs($a - $b),
            $made['points']['club_head'][2],
            $shipped['points']['club_head'][2],
        );
        expect(max($apart))->toBeLessThanOrEqual(1)
            ->and($made['stations']['IM'])->toEqualWithDelta($shipped['stations']['IM'], 0.002);
        unlink("$out/$name.json");
    }
    rmdir($out);
    expect(Artisan::call('codebook:looks', ['--fault' => ['late-load'], '--out' => '/proc/nowhere']))->toBe(1);
});

it('shows the pictures to everybody who may read the codebook', function () {
    foreach ([$this->headCoach(), $this->person('tam'), $this->person('odile')] as $who) {
        $this->actingAs($who)->get('/codebook')->assertOk()
            ->assertSee('looks/no-load.json')
            ->assertSee('Simulated: one golfer')
            ->assertSee('With it');
    }
});
