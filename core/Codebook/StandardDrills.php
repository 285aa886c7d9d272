<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Measurement\Measure;
use Core\Motion\Station;

/**
 * The drills as shipped, in the academy's terms; the last five are kept so that whoever prescribes one is told why not.
 */
final class StandardDrills
{
    /** @return array<string, Drill> by key */
    public static function all(): array
    {
        $out = [];
        $plans = StandardDrillPlans::all();
        foreach ([...self::pressure(), ...self::feet(), ...self::harmful()] as $drill) {
            $out[$drill->key] = $drill->planned($plans[$drill->key] ?? null, self::ways()[$drill->key] ?? []);
        }

        return $out;
    }

    /**
     * Which way what a drill changes goes.
     *
     * @return array<string, array<string, ExpectedChange>> by drill and measure
     */
    private static function ways(): array
    {
        $of = static function (ExpectedChange ...$changes): array {
            $out = [];
            foreach ($changes as $c) {
                $out[$c->measure->value] = $c;
            }

            return $out;
        };
        $more = static fn (Measure $m, ?Station $at = null): ExpectedChange => new ExpectedChange(
            $m,
            Way::Larger,
            null,
            $at,
        );
        $less = static fn (Measure $m, ?Station $at = null): ExpectedChange => new ExpectedChange(
            $m,
            Way::Smaller,
            null,
            $at,
        );
        $to = static fn (
            Measure $m,
            float $value,
            ?Station $at = null,
        ): ExpectedChange => new ExpectedChange($m, Way::Toward, $value, $at);

        return [
            'step-in' => $of($more(Measure::RecentreLead), $more(Measure::LevelShare)),
            'heel-plant' => $of($more(Measure::RecentreLead), $less(Measure::ReplantAt)),
            'wall-bump' => $of($more(Measure::RecentreLead)),
            'pause-and-complete' => $of($less(Measure::TrailPeakAt), $more(Measure::RecentreLead)),
            'rocker' => $of($less(Measure::TrailPeakAt)),
            'brush-ahead' => $of($more(Measure::ImpactShare), $less(Measure::PelvisDepth)),
            'hop-through' => $of($less(Measure::ChestFirst), $more(Measure::ShiftRate)),
            'box-turn' => $of($to(Measure::PelvisSway, 0.0, Station::BackswingArm)),
            'slider-push' => $of($more(Measure::HeelToeTrail), $to(Measure::HeelToeRatio, 1.7)),
            'marker-guard' => $of($less(Measure::FootSpin), $more(Measure::LevelShare)),
            'heel-down-press' => $of($less(Measure::TrailHeelLiftAt)),
            'split-stance' => $of($more(Measure::ImpactShare)),
            'arm-drop' => $of($less(Measure::ChestFirst)),
            'short-finish' => $of(
                $more(Measure::PelvisTurn, Station::Impact),
                $less(Measure::PelvisSway, Station::Impact),
            ),
            'open-set' => $of($more(Measure::PelvisTurn, Station::Impact)),
        ];
    }

    /** @return list<Drill> */
    private static function pressure(): array
    {
        return [
            new Drill(
                'step-in',
                'step in',
                'pressure that comes back late, or never; with a turn also for drifting off the ball',
                'not for a player who already goes too soon',
                'Both feet together, the ball opposite the lead foot’s place.',
                [
                    'Swing back slowly.',
                    'Before the backswing is complete, step the lead foot to its place toward the target.',
                    'Let the step finish the shift, then swing through.',
                ],
                'Rehearsal first, then part swings with a short iron; it exaggerates on purpose and stops there.',
                ['recentre_lead' => 'earlier: larger', 'level_share' => 'higher'],
                'Spare a sore lead knee or ankle.',
            ),
            new Drill(
                'heel-plant',
                'heel plant',
                'a start down that waits for the arms',
                'not under a quiet centre; not for one who goes too soon; not with a sore lead ankle, heel or knee',
                'Ordinary stance.',
                [
                    'Let the lead heel rise a little in the backswing.',
                    'Put it down where it was as the club finishes going back.',
                    'Swing only when the heel is down.',
                ],
                'Can be kept on the course, at full speed.',
                ['recentre_lead' => 'larger', 'replant_at' => 'before the top'],
            ),
            new Drill(
                'wall-bump',
                'wall touch',
                'a pelvis that waits at the top',
                'not for one who goes too soon, nor for one whose body passes the pressure',
                'No club, the lead side a hand’s width from a wall.',
                [
                    'Arms across, turn as in a backswing.',
                    'Touch the wall with hip and shoulder on the way down, as the arms pass level.',
                    'Turn on without leaning on the wall.',
                ],
                'Rehearsal only.',
                ['recentre_lead' => 'larger'],
                'Too early is a fault of its own. Not with shoulder pain.',
            ),
            new Drill(
                'pause-and-complete',
                'pause and complete',
                'a trail side loaded too long',
                'not if the turn is given up to get back',
                'Short iron.',
                [
                    'Stop when the lead arm is level going back, the trail side loaded.',
                    'Bring the pressure to even while finishing the turn, in one move.',
                    'Swing through.',
                ],
                'Part swings with a short iron, then longer clubs without the stop.',
                ['trail_peak_at' => 'earlier', 'recentre_lead' => 'larger'],
                'Watch that the body completes its turn and does not unwind.',
            ),
            new Drill(
                'rocker',
                'rocking board',
                'no feel of where the pressure is',
                'not with balance problems',
                'Both feet on a board that rocks along the target line.',
                [
                    'Rock to the trail side with the turn back.',
                    'Feel the board come level before the arms stop.',
                    'Let it fall to the lead side as the arms drop.',
                ],
                'Rehearsal only, without a ball.',
                ['trail_peak_at' => 'earlier'],
                'Older golfers need something to hold.',
            ),
            new Drill(
                'brush-ahead',
                'brush ahead',
                'hanging back, standing up',
                'not if the body already runs past the ball',
                'A tee some 20 cm ahead of the ball’s place, no ball.',
                [
                    'Swing to brush the tee, not the place of the ball; then bring it nearer step by step.',
                    'Hold the finish on the lead side for three seconds.',
                ],
                'Rehearsal, then a ball with a short iron, then longer clubs.',
                ['impact_share' => 'higher', 'pelvis_depth' => 'smaller'],
            ),
            new Drill(
                'hop-through',
                'running hop',
                'frozen players, chest before feet',
                'not with back, knee or hip trouble',
                'No ball, plenty of room.',
                [
                    'Take two easy steps toward the target.',
                    'Swing back on the trail foot, land on the lead foot, swing through.',
                    'Let the body run on.',
                ],
                'Without a ball; five at most.',
                ['chest_first' => 'smaller', 'shift_rate' => 'larger'],
                'Warm up well; minors supervised.',
            ),
            new Drill(
                'box-turn',
                'turn in a box',
                'drifting off the ball',
                'not for one who never loads the trail side',
                'Imagine a box around the hips at address.',
                ['Turn back without touching its trail side.', 'Feel the trail hip go back, not sideways.'],
                'Rehearsal, then any club.', ['pelvis_sway' => 'nearer to 0 at LB']),
        ];
    }

    /** @return list<Drill> */
    private static function feet(): array
    {
        return [
            new Drill(
                'slider-push',
                'slider push',
                'feet that do not work against each other',
                'not with groin, hip or knee strain',
                'A low-friction disc under the ball of the trail foot; the lead foot grips.',
                [
                    'Swing back to lead-arm level.',
                    'From there push the disc straight back while the lead foot pushes forward.',
                    'Stay tall on the lead leg.',
                ],
                'Rehearsal, then half swings with a short iron.',
                ['heel_toe_trail' => 'larger', 'heel_toe_ratio' => 'nearer to 1.7'],
                'Slipping: the lead foot must grip, the floor must be dry.',
            ),
            new Drill(
                'marker-guard',
                'marker guard',
                'spinning out',
                'none known',
                'A light marker 5 cm behind the trail foot; a rod on the ground inside the lead heel.',
                [
                    'First with the club across the shoulders, ending in front of the rod; then small rehearsals.',
                    'Then three-quarter swings with a mid iron and a teed ball at about three quarters of the speed.',
                    'Hips past the rod, marker untouched.',
                ],
                'Part swings to full speed.',
                ['foot_spin' => 'smaller', 'level_share' => 'higher'],
            ),
            new Drill(
                'heel-down-press',
                'heel-down press',
                'a trail heel that rises early toward the ball',
                'not for a player meant to drive off the trail foot',
                'Ordinary stance.',
                [
                    'Keep the trail instep and heel down to shaft level.',
                    'Let the heel leave toward the target, not toward the ball.',
                ],
                'Part swings with a short iron, then longer clubs.',
                ['trail_heel_lift_at' => 'later: smaller'],
            ),
            new Drill(
                'split-stance',
                'split stance',
                'an outside path with hanging back',
                'not with hip trouble',
                'Trail foot drawn back, a rod between heel and toe.',
                ['Swing along the rod, chest over the lead leg.', 'Finish facing the rod’s end.'],
                'Part swings with a short iron.',
                ['impact_share' => 'higher'],
            ),
            new Drill(
                'arm-drop',
                'arm drop',
                'arms late behind the body, chest before feet',
                'not for one whose chest already starts late',
                'Ordinary stance.',
                ['At the top, the lead foot grounded, let the arms fall before the chest turns, twice without a ball.', 'Then play one.'],
                'Rehearsal between balls.',
                ['chest_first' => 'smaller'],
                'Overdone, the chest waits too long.',
            ),
            new Drill(
                'short-finish',
                'short finish',
                'sliding past, a flip of the hands',
                'not with shoulder trouble',
                'Short iron.',
                [
                    'End the through swing early: the club no higher than the ribs, both arms long.',
                    'Look where belt and chest point.',
                ],
                'Short iron, then longer clubs.',
                ['pelvis_turn' => 'larger at IM', 'pelvis_sway' => 'smaller at IM'],
            ),
            new Drill(
                'open-set',
                'open set-up',
                'blocked hips, sliding',
                'not if the ball already starts on the lead side',
                'Lead foot turned out and drawn back a little.',
                ['Swing along the feet.', 'Feel the lead hip clear.'],
                'Any club.', ['pelvis_turn' => 'larger at IM'], 'May give a pull or a slice.'),
        ];
    }

    /** @return list<Drill> */
    private static function harmful(): array
    {
        $harm = static fn (string $key, string $name, string $adds, string $why): Drill => new Drill(
            $key,
            $name,
            'rarely anything',
            $why,
            '',
            [],
            'Not to be prescribed without the head coach.',
            [],
            $adds,
            true,
        );

        return [
            $harm(
                'hold-trail-top',
                'hold the top on the trail foot',
                'Adds: loads too long, hangs back.',
                'a top held fully on the trail foot leaves no time to come back',
            ),
            $harm(
                'force-hips-open',
                'force the hips open first',
                'Adds: spinning out, chest first.',
                'the lead hip pulls back while the foot is still light',
            ),
            $harm(
                'tied-arm',
                'upper arm tied to the ribs',
                'Adds: a short arm swing behind the body.',
                'the arms cannot fall and the chest has to throw them; only for loose arms, with a held ball or glove that falls '
                    .'early',
            ),
            $harm(
                'head-cover',
                'throw the head forward',
                'Adds: going too soon, thin and pulled balls.',
                'the body passes the pressure',
            ),
            $harm(
                'knee-spread',
                'spread the knees',
                'Adds: knees forced apart, hips square.',
                'the ordinary look of a turned body is taken for something to copy; only for a heavy slider',
            ),
        ];
    }
}
