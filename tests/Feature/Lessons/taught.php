<?php

// Sessions with swings, for the tests of what is prescribed in them.

use App\Models\Consent;
use App\Models\FollowUp;
use App\Models\Golfer;
use App\Models\Lesson;
use App\Models\Prescription;
use App\Models\Recording;
use App\Models\User;
use App\Shelf\Actions\MeasureRecording;
use App\Shelf\Actions\StoreRecording;
use App\Sight\Onlookers;
use Core\Sight\Scope;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;

/** A golfer who agrees to lessons and to nothing else. */
function taughtGolfer(string $pseudonym = 'Avocet', string $hand = 'right'): Golfer
{
    $golfer = Golfer::query()->create(['pseudonym' => $pseudonym, 'handedness' => $hand]);
    Consent::query()->create([
        'golfer_id' => $golfer->id, 'scope' => Scope::Lessons, 'given_on' => now()->toDateString(),
        'expires_on' => now()->addYear()->toDateString(),
    ]);

    return $golfer;
}

/** @param  list<float>  $severities  of a late start down, by swing; nothing is cold */
function taughtLesson(Golfer $golfer, ?User $by, array $severities, bool $asksFeel = false, int $daysAgo = 0): Lesson
{
    $lesson = Lesson::query()->create([
        'golfer_id' => $golfer->id, 'held_on' => now()->subDays($daysAgo)->toDateString(), 'asks_feel' => $asksFeel,
        'given_by' => $by?->id,
    ]);
    foreach ($severities as $i => $severity) {
        $swing = Swing::simulated(new GolferSpec(
            "taught|$daysAgo|$i",
            new Plant($severity > 0.0 ? ['late-recentre' => $severity] : []),
            device: DeviceClass::Mat,
        ));
        $recording = app(StoreRecording::class)(
            $golfer,
            ['club' => 'hybrid', 'source' => 'file', 'series' => "days ago $daysAgo"],
            $swing->trace,
            $swing->stations,
            $swing->motion(),
        );
        $recording->forceFill(['lesson_id' => $lesson->id])->save();
        app(MeasureRecording::class)($recording);
    }
    app(Onlookers::class)->forget();

    return $lesson;
}

/** What a form of a whole plan sends. */
function wholePlan(Prescription $draft, array $change = []): array
{
    return [
        'plan' => [
            ...$draft->plan,
            'cue' => 'Plant it, then swing',
            'image' => 'the foot swings the club',
            ...$change['plan'] ?? [],
        ],
        'reason' => $change['reason'] ?? '',
        'until' => now()->addWeeks(4)->toDateString(),
        'next_on' => now()->addWeeks(4)->toDateString(),
        'lines' => '[[0.1,0.2,0.3,0.4],["x",0,0,0],[2,-1,0.5,0.5],[1,2,3]]',
        ...array_diff_key($change, ['plan' => 0]),
    ];
}

/** Begun and a drill chosen, over HTTP, as who is logged in. */
function chosenDrill(
    object $test,
    Lesson $lesson,
    string $drill = 'heel-plant',
    string $fault = 'late-recentre',
): Prescription {
    $test->post("/golfer-sessions/$lesson->public_id/prescription", [
        'lens' => 'early-recentre', 'faults' => [$fault => 'now'], 'causes' => [$fault],
    ])->assertRedirect();
    $draft = Prescription::query()->latest('id')->firstOrFail();
    $test->put("/prescriptions/$draft->public_id/drill", ['drill' => $drill])->assertRedirect();

    return $draft->refresh();
}

function handedOver(object $test, Lesson $lesson, string $drill = 'heel-plant', array $change = []): Prescription
{
    $draft = chosenDrill($test, $lesson, $drill);
    $test->put("/prescriptions/$draft->public_id", wholePlan($draft, ['hand_over' => '1', ...$change]))
        ->assertRedirect("/prescriptions/$draft->public_id/note");

    return $draft->refresh();
}

function begunFollowUp(object $test, Prescription $of, Lesson $later): FollowUp
{
    $test->post("/prescriptions/$of->public_id/follow-ups", ['session' => $later->public_id])->assertRedirect();

    return FollowUp::query()->latest('id')->firstOrFail();
}

/** Every number of a session's swings becomes a word that stands nowhere else. */
function canariesIn(Lesson $lesson): void
{
    foreach (Recording::query()->where('lesson_id', $lesson->id)->with('measured')->get() as $swing) {
        $measured = $swing->measured;
        $measured?->update([
            'measurements' => array_map(
                static fn (array $v): array => isset($v['value'])
                    && is_numeric($v['value']) ? [...$v, 'value' => 7171.0] : $v,
                $measured->measurements,
            ),
            'shape' => 'M7171 7171',
        ]);
    }
}

/** What was prescribed and is followed up, by actions alone. @return array{Prescription, FollowUp} */
function followedUp(User $by, User $head): array
{
    $golfer = taughtGolfer('Whimbrel');
    $prescribe = app(App\Lessons\Actions\Prescribe::class);
    $draft = $prescribe->see(
        taughtLesson($golfer, $by, [2.4], daysAgo: 9),
        ['slide' => 'now'],
        ['slide'],
        'early-recentre',
        $by,
    );
    $prescribe->choose($draft, 'open-set');
    $prescribe->write(
        $draft,
        [...$draft->refresh()->plan, 'cue' => 'Clear the lead hip'],
        '',
        null,
        now()->toDateString(),
        [],
    );
    $prescribe->handOver($draft, $head);
    $draft->refresh();
    $follow = app(App\Lessons\Actions\FollowUpOn::class);
    $followUp = $follow->begin($draft, taughtLesson($golfer, $by, [0.3], daysAgo: 2), $by);
    $follow->feel($followUp, ['felt' => Core\Prescription\Seen::Better, 'felt_says' => '', 'judged' => Core\Prescription\Seen::Same,
        'judged_says' => ''], $by);

    return [$draft, $followUp];
}
