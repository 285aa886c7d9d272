<?php

declare(strict_types=1);

namespace Core\Codebook;

/** The one meaning each word has in this program. Measures and faults explain themselves and are not repeated here. */
final class Glossary
{
    /** @return array<string, string> in alphabetical order */
    public static function words(): array
    {
        $words = [
            'lead, trail' => 'The side of the body nearer the target, and the other. Never left and right, so that '
                .'either hand is the same case mirrored.',
            'pressure' => 'How hard a foot is pressed to the ground. It says nothing of where the body is.',
            'mass' => 'Where the body is, from motion: the middle of pelvis and chest. It says nothing of how hard a '
                .'foot is pressed.',
            'lead share' => 'The lead foot’s part of the vertical pressure of both feet, in per cent. The trail share '
                .'is the rest.',
            'centre of pressure (COP)' => 'The place where all vertical pressure together would act: of one foot, or '
                .'the net of both.',
            'load' => 'To raise a foot’s share. Not to move the body over it.',
            'shift' => 'A change of share from one foot to the other. Not a move of the body.',
            'recentre' => 'Bring the share back to half on its way to the lead side.',
            'push' => 'A force of the ground on the golfer along the ground. A foot that pushes backward is moved '
                .'forward.',
            'twist' => 'The free moment of the ground about the centre of pressure; positive when it opens the body '
                .'toward the target.',
            'rise' => 'Total vertical force above body weight as the golfer pushes up through the ball.',
            'per cent of body weight (%BW)' => 'A force divided by mass times gravity. 100 %BW is standing still.',
            'stance width' => 'Distance between the centres of both feet at address.',
            'station' => 'One of nine moments of the swing, in order: AD TB LB TP LD SD IM ST FI.',
            'phase' => 'What lies between two stations: set-up, early backswing, completion, transition, delivery, '
                .'through.',
            'sway' => 'Move of pelvis or chest along the target line since address.',
            'turn' => 'Direction of the line through hips or shoulders against the target line; positive when open to '
                .'the target.',
            'mat, plate, two plates' => 'A pressure mat knows shares and centres of pressure. A force plate knows the '
                .'net push and twist as well. Two plates know them for each foot.',
            'derived' => 'Worked out from the stance’s geometry instead of read off the instrument.',
            'indirect' => 'Told by a proxy that usually goes with the thing itself; named wherever it is used, and '
                .'trusted half as much.',
            'observable' => 'Whether the evidence at hand can show a fault at all.',
            'unsupported call' => 'A call made on evidence that cannot show the fault. Allowed, counted, told '
                .'afterwards.',
            'uncertainty (±)' => 'Half the width of the interval that holds the true value 95 times in 100: noise, '
                .'sampling, timing of the station, and the device’s constant error together.',
            'margin' => 'How far the deciding value stands beyond its threshold, in units of its own uncertainty.',
            'supported, contradicted, borderline' => 'What the measurement says of a fault: beyond the one threshold, '
                .'beyond the other, or between both.',
            'not measurable' => 'A value the verdict hangs on was not recorded, or the instrument failed there.',
            'censored' => 'It never happened within the swing, so only a bound is known: later than impact, or '
                .'earlier than takeaway.',
            'lens' => 'A school of coaching: its bands, the faults that count under it, and where it draws the lines.',
            'band' => 'The range of a measure that a lens takes for good.',
            'spread' => 'How much a golfer’s own swings differ from one to the next. A change smaller than that '
                .'proves nothing.',
            'cold' => 'One of the first swings of a series, set aside.',
            'key' => 'The panel’s consensus on each fault of each case, graded by the measurement and frozen when a '
                .'round opens.',
            'returning, forward' => 'Two styles of pressure path, both found in skilled players: one gives back 15 '
                .'points or more of its lead share before impact.',
            'film clock, trace clock' => 'Film and trace each keep their own time; an offset and a drift bring them '
                .'together and are shown.',
            'slipped, foot off, stuck, saturated' => 'Faults of the instrument that could be read as technique; what '
                .'they touch is left out or widened.',
        ];
        ksort($words, SORT_NATURAL | SORT_FLAG_CASE);

        return $words;
    }
}
