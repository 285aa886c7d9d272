<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Motion\Station;

/** Version 1 of the academy's codebook under its default lens, the ten faults held so far. */
final class FirstCodebook
{
    public static function make(): Codebook
    {
        $lens = new Lens(
            'early-recentre',
            'early recentre',
            'With about a quarter of a second to come down there is little time to cross from a loaded trail foot after the top, so the pressure comes back while the turn is still finishing.',
            [
                'setup_share' => [46.0, 58.0], 'trail_peak' => [62.0, 84.0], 'trail_peak_at' => [0.0, 0.7], 'top_share' => [40.0, 62.0],
                'recentre_lead' => [-40.0, 160.0], 'level_share' => [62.0, 100.0], 'impact_share' => [80.0, 100.0], 'pelvis_sway@LB' => [-12.0, -1.0],
                'fallback' => [-20.0, 12.0], 'late_surge' => [0.0, 8.0], 'finish_share' => [88.0, 100.0], 'rise' => [138.0, 200.0], 'rise_at' => [25.0, 95.0], 'foot_spin' => [-5.0, 12.0],
            ],
        );
        $faults = [];
        foreach (self::rows() as $key => $r) {
            $faults[$key] = new Fault($key, $r['name'], $r['look'], $r['trace'], $r['at'], Rule::from($r['yes']), Rule::from($r['no']), $r['sight'], $r['like'], $r['not'], $r['lens'] ?? null);
        }

        return new Codebook('1', $lens, $faults);
    }

    /** @return list<array{needs: list<string>, sight: Sight, proxy?: string}> */
    private static function pressure(string $proxy): array
    {
        return [
            ['needs' => ['pressure'], 'sight' => Sight::Observable],
            ['needs' => ['face-on'], 'sight' => Sight::Indirect, 'proxy' => $proxy],
        ];
    }

    /**
     * @return array<string, array{name: string, look: string, trace: string, at: Station, yes: array<mixed>, no: array<mixed>, sight: list<array{needs: list<string>, sight: Sight, proxy?: string}>, like: list<string>, not: string, lens?: string}>
     */
    private static function rows(): array
    {
        return [
            'sway' => [
                'name' => 'drifting off the ball', 'look' => 'the pelvis slides away from the target with little turn',
                'trace' => 'trail share high while the pelvis moves', 'at' => Station::BackswingArm,
                'yes' => ['pelvis_sway@LB', '<', -18], 'no' => ['pelvis_sway@LB', '>', -12],
                'sight' => [['needs' => ['face-on'], 'sight' => Sight::Observable], ['needs' => ['points'], 'sight' => Sight::Observable]],
                'like' => ['a normal small move'], 'not' => 'A pelvis that turns behind a still centre, with the trail hip going back and not sideways.',
            ],
            'no-load' => [
                'name' => 'never loads the trail side', 'look' => 'the body stays, or tips to the lead side',
                'trace' => 'trail share hardly rises', 'at' => Station::BackswingArm,
                'yes' => ['trail_peak', '<', 54], 'no' => ['trail_peak', '>', 61],
                'sight' => self::pressure('lean of the trunk to the lead side'),
                'like' => ['a quiet centre, played on purpose'], 'not' => 'Trail share past 60 % by lead-arm level, however little the body is seen to move.',
                'lens' => 'Quiet-centre players load far less on purpose; other lenses draw the line elsewhere.',
            ],
            'late-load' => [
                'name' => 'loads too long', 'look' => 'still moving back near the top',
                'trace' => 'trail share peaks near the top', 'at' => Station::Top,
                'yes' => ['trail_peak_at', '>', 0.85], 'no' => ['trail_peak_at', '<', 0.70],
                'sight' => self::pressure('how late the pelvis is farthest back'),
                'like' => ['a loaded top, played on purpose'], 'not' => 'The peak by lead-arm level, the turn finishing over a trail foot that is already giving up pressure.',
                'lens' => 'Players of a loaded top peak at the top by design.',
            ],
            'late-recentre' => [
                'name' => 'pressure comes back late', 'look' => 'held on the trail side at the top and into the start down',
                'trace' => 'half the pressure crosses long after the top', 'at' => Station::Top,
                'yes' => ['recentre_lead', '<', -70], 'no' => ['recentre_lead', '>', -40],
                'sight' => self::pressure('chest and pelvis over the feet at the top'),
                'like' => ['hanging back, which it often causes'], 'not' => 'Pressure crossing the half within a few hundredths of a second of the top.',
                'lens' => 'Lenses differ by as much as a tenth of a second on when it should cross.',
            ],
            'early-lunge' => [
                'name' => 'goes too soon, body ahead', 'look' => 'the chest passes the lead side early',
                'trace' => 'lead share high at the top', 'at' => Station::DownswingArm,
                'yes' => ['any', ['top_share', '>', 70], ['chest_sway@LD', '>', 16]],
                'no' => ['all', ['top_share', '<', 63], ['chest_sway@LD', '<', 9]],
                'sight' => [['needs' => ['pressure'], 'sight' => Sight::Observable], ['needs' => ['face-on'], 'sight' => Sight::Observable]],
                'like' => ['recentring done right'], 'not' => 'Half to 60 % on the lead side at the top with the chest still behind.',
            ],
            'hang-back' => [
                'name' => 'hanging back', 'look' => 'body and pressure trail at strike',
                'trace' => 'low lead share at impact', 'at' => Station::Impact,
                'yes' => ['all', ['impact_share', '<', 68], ['any', ['cop_style', 'not', 'returning'], ['lead_peak', '<', 80]]],
                'no' => ['any', ['impact_share', '>=', 77], ['all', ['cop_style', 'is', 'returning'], ['lead_peak', '>=', 80]]],
                'sight' => self::pressure('chest and pelvis over the feet and the trail heel at impact'),
                'like' => ['a returning style of pressure', 'the rescue of an outside path', 'a sore lead knee'], 'not' => 'A path that reached the lead side fully and came part of the way back before the ball.',
            ],
            'late-arrival' => [
                'name' => 'arrives late, then is thrown forward', 'look' => 'falls past the ball after it',
                'trace' => 'share jumps after impact', 'at' => Station::Impact,
                'yes' => ['all', ['impact_share', '<', 76], ['late_surge', '>', 14]], 'no' => ['late_surge', '<', 8],
                'sight' => self::pressure('the body overtaking the lead foot after the ball'),
                'like' => ['a strong post'], 'not' => 'A share that is already high at impact and stays there.',
            ],
            'spin-out' => [
                'name' => 'spinning out', 'look' => 'the lead hip pulls straight back, the trail foot twists on the spot',
                'trace' => 'the share stalls', 'at' => Station::DownswingArm,
                'yes' => ['all', ['foot_spin', '>', 25], ['level_share', '<', 55]], 'no' => ['any', ['foot_spin', '<', 12], ['level_share', '>', 64]],
                'sight' => [['needs' => ['pressure', 'face-on'], 'sight' => Sight::Observable], ['needs' => ['face-on'], 'sight' => Sight::Indirect, 'proxy' => 'the outline of the trail foot']],
                'like' => ['a screw-in with the pressure moving on'], 'not' => 'A trail foot that turns while the pressure goes on to the lead side.',
                'lens' => 'A trail foot that screws in and keeps the hips closed is taught by some.',
            ],
            'late-push' => [
                'name' => 'lead-leg push late or small', 'look' => 'no push up through the ball',
                'trace' => 'rise small, or after impact', 'at' => Station::Impact,
                'yes' => ['any', ['rise', '<', 118], ['rise_at', '<', 0]], 'no' => ['all', ['rise', '>=', 138], ['rise_at', '>=', 25], ['rise_at', '<=', 95]],
                'sight' => [['needs' => ['force'], 'sight' => Sight::Observable], ['needs' => ['face-on'], 'sight' => Sight::Indirect, 'proxy' => 'the lead knee still bent through the ball']],
                'like' => ['a deliberate soft shot'], 'not' => 'A lead leg that straightens through the ball with the force already past its peak.',
            ],
            'fall-off' => [
                'name' => 'does not finish on the lead side', 'look' => 'steps back, finish bent back',
                'trace' => 'share returns to the trail side', 'at' => Station::Finish,
                'yes' => ['any', ['fallback', '>', 25], ['finish_share', '<', 74]], 'no' => ['all', ['fallback', '<', 12], ['finish_share', '>=', 88]],
                'sight' => [['needs' => ['pressure'], 'sight' => Sight::Observable], ['needs' => ['face-on'], 'sight' => Sight::Observable]],
                'like' => ['a held or relaxed finish', 'a finish that looks right after a bad start down'], 'not' => 'A full finish on the lead side with a relaxed recoil after it.',
            ],
        ];
    }
}
