<?php

// The one meaning each word has here, in the order of its list. Measures and faults explain themselves and are not
// repeated.
return [
    'band' => [
        'word' => 'band',
        'means' => 'The range of a measure that a lens takes for good.',
    ],
    'censored' => [
        'word' => 'censored',
        'means' => 'It never happened within the swing, so only a bound is known: later than impact, '
            .'or earlier than takeaway.',
    ],
    'centre-of-pressure' => [
        'word' => 'centre of pressure (COP)',
        'means' => 'The place where all vertical pressure together would act: of one foot, or the net '
            .'of both.',
    ],
    'cold' => [
        'word' => 'cold',
        'means' => 'One of the first swings of a series, set aside.',
    ],
    'derived' => [
        'word' => 'derived',
        'means' => 'Worked out from the stance’s geometry instead of read off the instrument.',
    ],
    'film-clock' => [
        'word' => 'film clock, trace clock',
        'means' => 'Film and trace each keep their own time; an offset and a drift bring them together '
            .'and are shown.',
    ],
    'indirect' => [
        'word' => 'indirect',
        'means' => 'Told by a proxy that usually goes with the thing itself; named wherever it is '
            .'used, and trusted half as much.',
    ],
    'key' => [
        'word' => 'key',
        'means' => 'The panel’s consensus on each fault of each case, graded by the measurement and '
            .'frozen when a round opens.',
    ],
    'lead' => [
        'word' => 'lead, trail',
        'means' => 'The side of the body nearer the target, and the other. Never left and right, so '
            .'that either hand is the same case mirrored.',
    ],
    'lead-share' => [
        'word' => 'lead share',
        'means' => 'The lead foot’s part of the vertical pressure of both feet, in per cent. The trail '
            .'share is the rest.',
    ],
    'lens' => [
        'word' => 'lens',
        'means' => 'A school of coaching: its bands, the faults that count under it, and where it '
            .'draws the lines.',
    ],
    'load' => [
        'word' => 'load',
        'means' => 'To raise a foot’s share. Not to move the body over it.',
    ],
    'margin' => [
        'word' => 'margin',
        'means' => 'How far the deciding value stands beyond its threshold, in units of its own '
            .'uncertainty.',
    ],
    'mass' => [
        'word' => 'mass',
        'means' => 'Where the body is, from motion: the middle of pelvis and chest. It says nothing of '
            .'how hard a foot is pressed.',
    ],
    'mat' => [
        'word' => 'mat, plate, two plates',
        'means' => 'A pressure mat knows shares and centres of pressure. A force plate knows the net '
            .'push and twist as well. Two plates know them for each foot.',
    ],
    'not-measurable' => [
        'word' => 'not measurable',
        'means' => 'A value the verdict hangs on was not recorded, or the instrument failed there.',
    ],
    'observable' => [
        'word' => 'observable',
        'means' => 'Whether the evidence at hand can show a fault at all.',
    ],
    'per-cent-of-body-weight' => [
        'word' => 'per cent of body weight (%BW)',
        'means' => 'A force divided by mass times gravity. 100 %BW is standing still.',
    ],
    'phase' => [
        'word' => 'phase',
        'means' => 'What lies between two stations: set-up, early backswing, completion, transition, '
            .'delivery, through.',
    ],
    'pressure' => [
        'word' => 'pressure',
        'means' => 'How hard a foot is pressed to the ground. It says nothing of where the body is.',
    ],
    'push' => [
        'word' => 'push',
        'means' => 'A force of the ground on the golfer along the ground. A foot that pushes backward '
            .'is moved forward.',
    ],
    'recentre' => [
        'word' => 'recentre',
        'means' => 'Bring the share back to half on its way to the lead side.',
    ],
    'returning' => [
        'word' => 'returning, forward',
        'means' => 'Two styles of pressure path, both found in skilled players: one gives back 15 '
            .'points or more of its lead share before impact.',
    ],
    'rise' => [
        'word' => 'rise',
        'means' => 'Total vertical force above body weight as the golfer pushes up through the ball.',
    ],
    'shift' => [
        'word' => 'shift',
        'means' => 'A change of share from one foot to the other. Not a move of the body.',
    ],
    'slipped' => [
        'word' => 'slipped, foot off, stuck, saturated',
        'means' => 'Faults of the instrument that could be read as technique; what they touch is left '
            .'out or widened.',
    ],
    'spread' => [
        'word' => 'spread',
        'means' => 'How much a golfer’s own swings differ from one to the next. A change smaller than '
            .'that proves nothing.',
    ],
    'stance-width' => [
        'word' => 'stance width',
        'means' => 'Distance between the centres of both feet at address.',
    ],
    'station' => [
        'word' => 'station',
        'means' => 'One of nine moments of the swing, in order: AD TB LB TP LD SD IM ST FI.',
    ],
    'supported' => [
        'word' => 'supported, contradicted, borderline',
        'means' => 'What the measurement says of a fault: beyond the one threshold, beyond the other, '
            .'or between both. Beyond by less than its own ± it only leans to one side, and verifies nothing.',
    ],
    'sway' => [
        'word' => 'sway',
        'means' => 'Move of pelvis or chest along the target line since address.',
    ],
    'turn' => [
        'word' => 'turn',
        'means' => 'Direction of the line through hips or shoulders against the target line; positive '
            .'when open to the target.',
    ],
    'twist' => [
        'word' => 'twist',
        'means' => 'The free moment of the ground about the centre of pressure; positive when it opens '
            .'the body toward the target.',
    ],
    'uncertainty' => [
        'word' => 'uncertainty (±)',
        'means' => 'Half the width of the interval that holds the true value 95 times in 100: noise, '
            .'sampling, timing of the station, and the device’s constant error together.',
    ],
    'unsupported-call' => [
        'word' => 'unsupported call',
        'means' => 'A call made on evidence that cannot show the fault. Allowed, counted, told '
            .'afterwards.',
    ],
    'agreement-beyond-chance' => [
        'word' => 'AC1, κ, α',
        'means' => 'Agreement less what people who guess would reach by chance, as a part of what is '
            .'left. AC1 stays steady where a fault is rare; κ and α fall there although people '
            .'agree.',
    ],
    'sensitivity' => [
        'word' => 'sensitivity',
        'means' => 'Of what the key says is present, the share that was called present.',
    ],
    'specificity' => [
        'word' => 'specificity',
        'means' => 'Of what the key says is absent, the share that was called absent.',
    ],
    'criterion' => [
        'word' => 'criterion c',
        'means' => 'Which way somebody leans who is not sure: above nought “present” is called little, '
            .'below it much.',
    ],
    'd-prime' => [
        'word' => 'd′',
        'means' => 'How well present and absent are told apart, whichever way one leans; nought is '
            .'guessing.',
    ],
    'brier' => [
        'word' => 'Brier score',
        'means' => 'The mean square of how far stated confidence stood from what was right; nought is '
            .'best, a coin with 50 % gets 0.25.',
    ],
    'interval' => [
        'word' => '95 % interval',
        'means' => 'The range that would hold the true figure 95 times in 100, were the cases drawn '
            .'anew.',
    ],
];
