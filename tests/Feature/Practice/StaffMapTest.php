<?php

use App\Models\User;
use App\Practice\Actions\AnswerQuestion;
use App\Practice\Actions\BeginPractice;
use App\Practice\Pages\StaffMap;
use App\Practice\PersonSkills;
use App\Sight\Onlookers;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Actions\PlanRound;
use Core\Number\Written;
use Core\Sight\SittingKind;
use Core\Training\NextQuestion;
use Core\Training\Skill;

/** @return array<string, array<string, mixed>> rows by name */
function staffMap(object $test): array
{
    app()->forgetScopedInstances();

    return array_column(app(StaffMap::class)->of($test->headCoach()), null, 'name');
}

it('names for each of the staff what is weakest, as that person is told it', function () {
    $rows = staffMap($this);
    expect(count($rows))->toBeGreaterThan(3);
    foreach ($rows as $name => $row) {
        $user = User::query()->where('name', $name)->sole();
        app()->forgetScopedInstances();
        // What waits for a reading of the person is left out of what the person is told; here nothing does.
        $skills = array_filter(
            app(PersonSkills::class)->of($user),
            static fn (Skill $s): bool => $s->answers > 0 && $s->low() < NextQuestion::AIM,
        );
        usort($skills, static fn (Skill $a, Skill $b): int => $a->low() <=> $b->low());
        $lows = array_map(
            static fn (Skill $s): string => Written::fixed(100 * $s->low(), 0),
            array_slice($skills, 0, 3),
        );
        expect(array_column($row['weak'], 'low'))->toBe($lows, $name)
            ->and($row['answers'])->toBe(0)
            ->and($row['days'])->toBeNull();
    }
    // Who is farthest from the aim stands first.
    $firsts = array_map(
        static fn (array $r): int => (int) array_sum(array_column($r['weak'], 'low')),
        array_values($rows),
    );
    expect($firsts[0])->toBeLessThanOrEqual($firsts[count($firsts) - 1] + 3);
});

it('counts who practised this week, and moves what is weak with it', function () {
    $tam = $this->person('tam');
    $before = staffMap($this)[$tam->name];
    app()->forgetScopedInstances();
    $sitting = app(BeginPractice::class)($tam, null, 5);
    for ($i = 1; $sitting->fresh()->ended_at === null; $i++) {
        app()->forgetScopedInstances();
        $asked = $sitting->answers()->where('place', $i)->with('entry')->firstOrFail();
        app(AnswerQuestion::class)($sitting, $i, (string) $asked->entry->scoredLabel(), $tam);
    }
    $after = staffMap($this)[$tam->name];
    expect($after['answers'])->toBe(5)->and($after['days'])->toBe(0)->and($after['weak'])->not->toBe($before['weak']);
    $this->travel(9)->days();
    expect(staffMap($this)[$tam->name]['answers'])->toBe(0)->and(staffMap($this)[$tam->name]['days'])->toBe(9);
});

it('is shown to the head coach alone, and leaves out what the head coach is still to read', function () {
    $this->actingAs($this->headCoach())->get('/practice')->assertOk()->assertSee('Who should practise what');
    foreach (['tam', 'odile'] as $who) {
        $this->actingAs($this->person($who))->get('/practice')->assertOk()->assertDontSee('Who should practise what');
    }
    $head = $this->headCoach();
    $swing = $this->round('Spring')->cases()->with('recording')->orderBy('id')->firstOrFail()->recording;
    $round = app(PlanRound::class)('Again', SittingKind::Round, [$swing->id], [$head->id], 'both', $head);
    app(OpenRound::class)($round, $head);
    app(Onlookers::class)->forget();
    expect(staffMap($this))->toBe([]);
});
