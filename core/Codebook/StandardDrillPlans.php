<?php

declare(strict_types=1);

namespace Core\Codebook;

/** How the shipped drills are prescribed, in the academy's terms. Those kept as warnings have none. */
final class StandardDrillPlans
{
    private const SAME = [true, 'as it stands'];

    /** @return array<string, DrillPlan> by drill */
    public static function all(): array
    {
        return [...self::pressure(), ...self::feet()];
    }

    /** @return array<string, DrillPlan> */
    private static function pressure(): array
    {
        $knee = [[LimitRegion::Knee, LimitSide::Lead], [LimitRegion::Ankle, LimitSide::Lead]];

        return [
            'step-in' => new DrillPlan(
                'Ten steps without a ball, then three balls to ten steps; two sets.',
                'The step lands before the hands start down: a helper says when, or a film from the front.',
                'Eight of ten steps in time, twice running.',
                'Pain in the lead knee or ankle, or the step comes after the hands three times running.',
                Rung::Rehearsal,
                Rung::HalfSwing,
                'Balls start low and to the lead side at first; ignore where they go.',
                'As if the body ran ahead of the club.',
                [
                    'early-recentre' => self::SAME,
                    'loaded-top' => [true, 'step later: as the arms reach the top'],
                    'quiet-centre' => [false, 'it asks for a shift that this school does not want'],
                ],
                $knee,
            ),
            'heel-plant' => new DrillPlan(
                'Five slow rehearsals to a ball; four sets of five.',
                'The heel comes down where it was: a coin under it stays covered.',
                'Nine of ten on the coin at three quarters of the speed.',
                'Soreness in the lead heel, ankle or knee.',
                Rung::WithClub,
                Rung::Course,
                'A little higher at first; ignore thin ones.',
                'As if the swing waited for the foot.',
                [
                    'early-recentre' => self::SAME,
                    'loaded-top' => self::SAME,
                    'quiet-centre' => [false, 'the lead foot stays down'],
                ],
                [...$knee],
            ),
            'wall-bump' => new DrillPlan(
                'Ten touches; two sets; no club.',
                'The hip touches before the arms pass level, shoulder with it, without a push.',
                'Ten of ten in time with the eyes shut.',
                'Pain in the shoulder, or leaning on the wall.',
                Rung::Rehearsal,
                Rung::Rehearsal,
                'No ball.',
                'Much too early.',
                [
                    'early-recentre' => self::SAME,
                    'loaded-top' => [true, 'touch as the arms begin down, not before'],
                    'quiet-centre' => [true, 'a touch, no slide: the wall at a finger’s width'],
                ],
                [[LimitRegion::Shoulder, LimitSide::Lead], [LimitRegion::Hip, LimitSide::Lead]],
            ),
            'pause-and-complete' => new DrillPlan(
                'Five pauses to a ball; three sets of five.',
                'Even on both feet and still turning: the lead shoulder reaches the ball’s line after the pause.',
                'Five of five complete their turn.',
                'The body unwinds instead of completing, three times running.',
                Rung::WithClub,
                Rung::MidIron,
                'Short and soft; ignore the distance.',
                'As if the backswing had two parts.',
                [
                    'early-recentre' => self::SAME,
                    'loaded-top' => [false, 'this school keeps the load to the top'],
                    'quiet-centre' => [true, 'pause with a small load'],
                ],
                [[LimitRegion::Back, null], [LimitRegion::Balance, null]],
            ),
            'rocker' => new DrillPlan(
                'One minute, rest, one minute; no club at first.',
                'The board is level before the hands stop going back.',
                'Ten quiet returns running.',
                'Any unsteadiness that does not settle.',
                Rung::Rehearsal,
                Rung::WithClub,
                'No ball.',
                'Wobbly.',
                [
                    'early-recentre' => self::SAME,
                    'loaded-top' => [true, 'level as the hands start down'],
                    'quiet-centre' => [true, 'rock by a finger’s width only'],
                ],
                [[LimitRegion::Balance, null], [LimitRegion::Ankle, LimitSide::Both], [LimitRegion::Pregnancy, null]],
            ),
            'brush-ahead' => new DrillPlan(
                'Ten brushes, then one ball to three; three sets. The tee some 20 cm ahead, then nearer step by step.',
                'The tee is brushed and the finish held for three seconds on the lead side.',
                'Eight of ten at one distance before the tee comes nearer.',
                'Standing up to reach it, or pain.',
                Rung::Rehearsal,
                Rung::FullSpeed,
                'Low at first, some thin; ignore the height.',
                'As if the ball were behind the body.',
                ['early-recentre' => self::SAME, 'loaded-top' => self::SAME, 'quiet-centre' => self::SAME],
                [[LimitRegion::Balance, null]],
            ),
            'hop-through' => new DrillPlan(
                'Five at most, with a minute’s rest after each; no ball.',
                'The foot lands before the chest opens: on film from the front.',
                'Three of five in time.',
                'Any pain, breathlessness or a slip: at once.',
                Rung::Rehearsal,
                Rung::WithClub,
                'No ball.',
                'Out of control for a moment.',
                [
                    'early-recentre' => self::SAME,
                    'loaded-top' => self::SAME,
                    'quiet-centre' => [false, 'it is all shift'],
                ],
                [
                    [LimitRegion::Back, null], [LimitRegion::Knee, LimitSide::Both],
                    [LimitRegion::Hip, LimitSide::Both],
                    [LimitRegion::Ankle, LimitSide::Both], [LimitRegion::Balance, null],
                    [LimitRegion::HeartAndBreath, null], [LimitRegion::Pregnancy, null],
                ],
            ),
            'box-turn' => new DrillPlan(
                'Ten turns, then two balls to ten; two sets.',
                'The trail hip goes back, not aside: a chair beside it is not touched.',
                'Ten of ten clear of the chair.',
                'Pressure that no longer goes to the trail side at all.',
                Rung::Rehearsal,
                Rung::Course,
                'Little; a shorter backswing flies a little shorter.',
                'Cramped.',
                [
                    'early-recentre' => self::SAME,
                    'loaded-top' => [true, 'a wider box: some sway belongs to the load'],
                    'quiet-centre' => self::SAME,
                ],
                [[LimitRegion::Hip, LimitSide::Trail], [LimitRegion::Back, null]],
            ),
        ];
    }

    /** @return array<string, DrillPlan> */
    private static function feet(): array
    {
        return [
            'slider-push' => new DrillPlan(
                'Eight pushes, then four half swings; two sets.',
                'The disc goes straight back and the lead foot does not move.',
                'Six of eight straight.',
                'Pain in groin, hip or knee, or the lead foot slips.',
                Rung::Rehearsal,
                Rung::HalfSwing,
                'A little left or right at first; ignore the direction.',
                'As if the trail foot ran away.',
                [
                    'early-recentre' => self::SAME,
                    'loaded-top' => self::SAME,
                    'quiet-centre' => [true, 'press against the disc without letting it slide'],
                ],
                [
                    [LimitRegion::Hip, LimitSide::Trail], [LimitRegion::Knee, LimitSide::Both],
                    [LimitRegion::Balance, null],
                ],
            ),
            'marker-guard' => new DrillPlan(
                'First ten with the club across the shoulders, ending in front of the rod; then ten small rehearsals; then '
                    .'five three-quarter swings with a mid iron and a teed ball at about three quarters of the speed.',
                'Hips past the rod, marker untouched.',
                'Eight of ten, on each step before the next.',
                'The marker falls three times running, or the knees lock.',
                Rung::Rehearsal,
                Rung::FullSpeed,
                'Starts farther to the push side at first; ignore the curve.',
                'As if the trail foot were glued.',
                [
                    'early-recentre' => self::SAME,
                    'loaded-top' => self::SAME,
                    'quiet-centre' => [true, 'the foot may screw in: the marker only tells the heel that spins out'],
                ],
                [[LimitRegion::Ankle, LimitSide::Trail], [LimitRegion::Knee, LimitSide::Trail]],
            ),
            'heel-down-press' => new DrillPlan(
                'Five rehearsals to a ball; four sets of five.',
                'The heel leaves after the club is level, toward the target: seen on film from behind.',
                'Eight of ten.',
                'Soreness in the trail ankle or calf.',
                Rung::WithClub,
                Rung::LongClub,
                'Lower and shorter at first; ignore the distance.',
                'Flat-footed.',
                [
                    'early-recentre' => self::SAME,
                    'loaded-top' => [false, 'this school drives off the trail foot'],
                    'quiet-centre' => [true, 'instep and heel down through the ball'],
                ],
                [[LimitRegion::Ankle, LimitSide::Trail]],
            ),
            'split-stance' => new DrillPlan(
                'Ten half swings, three with a ball; two sets.',
                'The finish faces the rod’s end, held for three seconds on the lead leg.',
                'Eight of ten held.',
                'Hip pain, or the finish is lost.',
                Rung::WithClub,
                Rung::HalfSwing,
                'Starts to the push side; that is what it is for.',
                'Shut off from the target.',
                ['early-recentre' => self::SAME, 'loaded-top' => self::SAME, 'quiet-centre' => self::SAME],
                [[LimitRegion::Hip, LimitSide::Both], [LimitRegion::Balance, null]],
            ),
            'arm-drop' => new DrillPlan(
                'Two drops without a ball, then one ball; ten balls.',
                'The lead foot is on the ground and bears before the chest turns.',
                'Seven of ten balls start where they were meant to.',
                'The chest begins to wait: balls hook or go fat three times running.',
                Rung::WithClub,
                Rung::FullSpeed,
                'May draw more; ignore the curve at first.',
                'As if the hands did all of it.',
                ['early-recentre' => self::SAME, 'loaded-top' => self::SAME, 'quiet-centre' => self::SAME],
                [[LimitRegion::Shoulder, LimitSide::Both]],
            ),
            'short-finish' => new DrillPlan(
                'Ten balls with a short iron, then five with a longer club; two sets.',
                'Club no higher than the ribs, both arms long, belt and chest at the target.',
                'Eight of ten.',
                'Shoulder pain.',
                Rung::HalfSwing,
                Rung::LongClub,
                'Low and short; ignore both.',
                'Held back.',
                ['early-recentre' => self::SAME, 'loaded-top' => self::SAME, 'quiet-centre' => self::SAME],
                [[LimitRegion::Shoulder, LimitSide::Both], [LimitRegion::Wrist, LimitSide::Both]],
            ),
            'open-set' => new DrillPlan(
                'Ten balls, looked at again after ten with the ordinary stance.',
                'The lead hip is clear at the finish without a slide.',
                'Seven of ten start on the line of the feet.',
                'Balls start to the pull side three times running.',
                Rung::WithClub,
                Rung::Course,
                'May pull or slice; a little of it is the stance.',
                'Aimed away.',
                [
                    'early-recentre' => self::SAME,
                    'loaded-top' => self::SAME,
                    'quiet-centre' => [true, 'turn the foot out only, do not draw it back'],
                ],
                [[LimitRegion::Hip, LimitSide::Lead]],
            ),
        ];
    }
}
