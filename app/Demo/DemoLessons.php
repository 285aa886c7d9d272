<?php

declare(strict_types=1);

namespace App\Demo;

use App\Lessons\Actions\FollowUpOn;
use App\Lessons\Actions\KeepLesson;
use App\Lessons\Actions\Prescribe;
use App\Models\Casts\Cell;
use App\Models\Consent;
use App\Models\Golfer;
use App\Models\GolferLimit;
use App\Models\Lesson;
use App\Models\Prescription;
use App\Models\Recording;
use App\Models\User;
use App\Shelf\Actions\MeasureRecording;
use App\Shelf\Actions\StoreRecording;
use App\Sight\Onlookers;
use Core\Codebook\Rung;
use Core\Codebook\StandardLenses;
use Core\Prescription\Level;
use Core\Prescription\Seen;
use Core\Reading\BallFlight;
use Core\Reading\SwingKind;
use Core\Sight\Scope;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Illuminate\Support\Carbon;

/**
 * A golfer of Fernhollow who is taught and put before nobody: a session, a drill chosen against a limit with a reason,
 * and four weeks later a second session in which the change holds up to the long club and is gone at full speed.
 */
final readonly class DemoLessons
{
    private const GOLFER = 'Avocet';

    private const GIVEN_BY = 'vesna';

    /** How gravely the start down waits, swing by swing: the first of each session is cold. */
    private const BEFORE = [2.4, 2.1, 2.4, 2.2, 2.6];

    /** With the rung each is swung on. */
    private const AFTER = [
        [1.9, null],
        [0.0, Rung::Rehearsal],
        [0.3, Rung::HalfSwing],
        [0.4, Rung::MidIron],
        [0.2, Rung::MidIron],
        [0.5, Rung::LongClub],
        [0.4, Rung::LongClub],
        [2.1, Rung::FullSpeed],
    ];

    public function __construct(
        private StoreRecording $store,
        private MeasureRecording $measure,
        private KeepLesson $lessons,
        private Prescribe $prescribe,
        private FollowUpOn $follow,
        private Onlookers $onlookers,
    ) {
    }

    public function __invoke(Carbon $today, User $head): void
    {
        $by = User::query()->where('email', self::GIVEN_BY.'@fernhollow.example')->sole();
        Carbon::setTestNow($today->copy()->subDays(46)->setTime(10, 0));
        $golfer = $this->golfer();
        $first = $this->session($golfer, $head, $by, [
            'complaint' => 'fat shots with every longer club',
            'aim' => 'a steadier strike',
            'explanation' => 'thinks the arms are too fast',
            'tried' => 'hitting down on it',
        ]);
        $this->lessons->feel($first, 'heavy on the trail foot until the very end', $by);
        $this->swings($golfer, $first, array_map(static fn (float $of): array => [$of, null], self::BEFORE));
        $this->kept($golfer, $first, $by);
        $this->balls(
            $first,
            [[4.0, 3.0, 'fat'], [5.0, 4.5, 'fat'], [3.5, 2.0, 'centre'], [6.0, 5.0, 'thin'], [4.4, 3.8, 'fat']],
        );
        $given = $this->given($first, $by, $today->copy()->subDays(16));

        Carbon::setTestNow($today->copy()->subDays(16)->setTime(10, 0));
        $second = $this->session($golfer, $head, $by, [
            'complaint' => 'fewer fat ones, but not on the course',
            'aim' => 'the same with the driver',
            'explanation' => 'feels the foot now',
            'tried' => null,
        ]);
        $after = $this->swings($golfer, $second, self::AFTER);
        $this->kept($golfer, $second, $by);
        $this->balls(
            $second,
            [
                [1.0, 2.4, 'centre'], [0.4, 3.0, 'centre'], [1.5, 1.8, 'centre'], [0.8, 2.9, 'thin'],
                [1.1, 3.5, 'centre'],
            ],
        );
        $followUp = $this->follow->begin($given, $second, $by);
        $this->follow->feel($followUp, [
            'felt' => Seen::Better,
            'felt_says' => 'as if the foot swung the club',
            'judged' => Seen::Better,
            'judged_says' => 'until it gets fast',
        ], $by);
        $rungs = [];
        foreach (self::AFTER as $i => [, $rung]) {
            if ($rung !== null) {
                $rungs[$after[$i]->id] = $rung->value;
            }
        }
        $this->follow->place($followUp, $rungs);
        $this->waiting($golfer, $head, $by, $today);
        $this->onlookers->forget();
    }

    /** Agrees to lessons and to nothing else: no round and no practice has this golfer. */
    private function golfer(): Golfer
    {
        $golfer = Golfer::query()->create([
            'pseudonym' => self::GOLFER,
            'handedness' => 'right',
            'height_cm' => 175,
            'level' => Level::Learning,
        ]);
        Consent::query()->create([
            'golfer_id' => $golfer->id,
            'scope' => Scope::Lessons,
            'given_on' => now()->toDateString(),
            'expires_on' => now()->addDays(720)->toDateString(),
        ]);
        GolferLimit::query()->create([
            'golfer_id' => $golfer->id,
            'region' => 'knee',
            'side' => 'lead',
            'severity' => 'careful',
            'since' => now()->subYears(2)->toDateString(),
            'note' => 'sore after long walks',
        ]);

        return $golfer;
    }

    /** @param  array{complaint: string, aim: string, explanation: string, tried: ?string}  $said */
    private function session(Golfer $golfer, User $head, User $by, array $said): Lesson
    {
        return ($this->lessons)($golfer, null, [
            'held_on' => now()->toDateString(),
            'traits' => null,
            'asks_feel' => true,
            'given_by' => $by->id,
            ...$said,
        ], null, $head);
    }

    /** All the swings that were made of the golfer since belong to it. */
    private function kept(Golfer $golfer, Lesson $lesson, User $by): void
    {
        ($this->lessons)(
            $golfer,
            $lesson,
            ['held_on' => $lesson->held_on->toDateString(), ...$lesson->only([
                'complaint', 'aim', 'explanation', 'traits', 'tried', 'asks_feel',
            ])],
            array_values(
                array_map(Cell::int(...), Recording::query()->where('lesson_id', $lesson->id)->pluck('id')->all()),
            ),
            $by,
        );
    }

    /**
     * @param  list<array{float, ?Rung}>  $of  how gravely each waits, and its rung
     * @return list<Recording>
     */
    private function swings(Golfer $golfer, Lesson $lesson, array $of): array
    {
        $out = [];
        foreach ($of as $i => [$severity, $rung]) {
            Carbon::setTestNow(now()->copy()->addMinutes(3));
            $swing = Swing::simulated(new GolferSpec(
                "fernhollow|lesson|$lesson->id|$i",
                new Plant($severity > 0.0 ? ['late-recentre' => $severity] : []),
                device: DeviceClass::DualPlate,
            ));
            $recording = ($this->store)($golfer, [
                'club' => $rung === Rung::LongClub || $rung === Rung::FullSpeed ? 'fairway wood' : 'hybrid',
                'shape' => 'straight',
                'device_name' => 'bench',
                'source' => 'demo',
                'series' => $lesson->held_on->format('j M'),
                'swing' => $rung === Rung::Rehearsal ? SwingKind::Rehearsal->value : SwingKind::Full->value,
                'is_cold' => $i === 0,
            ], $swing->trace, $swing->stations, $swing->motion());
            $recording->forceFill(['lesson_id' => $lesson->id])->save();
            ($this->measure)($recording);
            $out[] = $recording;
        }

        return $out;
    }

    /** @param  list<array{float, float, string}>  $of  start, curve, strike */
    private function balls(Lesson $lesson, array $of): void
    {
        foreach ($of as $i => [$start, $curve, $strike]) {
            $this->lessons->ball($lesson, $i + 1, 'hybrid', new BallFlight($start, $curve, 'normal', $strike), null);
        }
    }

    private function given(Lesson $lesson, User $by, Carbon $next): Prescription
    {
        $draft = $this->prescribe->see(
            $lesson,
            ['late-recentre' => 'now'],
            ['late-recentre'],
            StandardLenses::DEFAULT,
            $by,
        );
        $this->prescribe->choose($draft, 'heel-plant');
        $draft->refresh();
        $this->prescribe->write(
            $draft,
            [
                ...$draft->plan ?? [],
                'cue' => 'Plant the heel, then swing',
                'image' => 'the lead foot stamps the club through',
                'club' => 'hybrid',
                'ignore' => 'thin ones in the first week',
                'keep' => 'the turn back: it is full and steady',
                'speed' => 70,
                'ball' => 'teed',
            ],
            'The knee is sore after walks only; slow, on a mat, five at a time, and it stops at any soreness.',
            $next->toDateString(),
            $next->toDateString(),
            ['before' => [[0.52, 0.1, 0.52, 0.94]]],
        );
        $this->prescribe->handOver($draft, $by);

        return $draft->refresh();
    }

    /** A third session, of this week, whose feel is still to be said: it waits in the follow-up. */
    private function waiting(Golfer $golfer, User $head, User $by, Carbon $today): void
    {
        Carbon::setTestNow($today->copy()->subDays(2)->setTime(11, 0));
        $third = $this->session($golfer, $head, $by, [
            'complaint' => 'the driver still', 'aim' => 'full speed', 'explanation' => 'rushes it', 'tried' => null,
        ]);
        $this->swings($golfer, $third, [[1.2, null], [1.0, null], [0.9, null], [1.1, null]]);
        $given = Prescription::query()
            ->whereHas('lesson', static fn ($q) => $q->where('golfer_id', $golfer->id))
            ->sole();
        $this->follow->begin($given, $third, $by);
    }
}
