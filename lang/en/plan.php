<?php

// Planning a round, in steps.
return [
    'groups' => 'All of',
    'on-panel' => ':name, on the panel too',
    'page' => 'Plan a round',
    'rounds' => 'Rounds',
    'steps' => [
        'nav' => 'Steps',
        'cases' => 'Cases',
        'people' => 'People',
        'precision' => 'Precision',
        'check' => 'Check',
    ],
    'back' => 'Back',
    'next' => 'Next: :step',
    'suggest' => [
        'title' => 'A set of cases from the Shelf',
        'size' => 'cases',
        'share' => 'each fault present in, %',
        'again' => 'to be shown again',
        'seed' => 'another draw',
        'do' => 'Suggest',
    ],
    'refused' => ':why: only recordings that a key speaks of can be balanced.',
    'suggested' => ':chosen of :at recordings that :key speaks of. They are ticked below; nothing is kept until you '
        .'keep the '.
        'draft.',
    'heads' => [
        'fault' => 'Fault',
        'present' => 'Present',
        'absent' => 'Absent',
        'wanted' => 'Wanted present',
        'trait' => 'Spread',
        'value' => 'Value',
        'chosen' => 'Chosen',
        'at_hand' => 'At hand',
    ],
    'again' => 'To be shown again, unannounced: :swings.',
    'short' => 'The Shelf could not give: :n of what was wanted. More recordings of faults in bold would help most.',
    'recordings' => 'Recordings',
    'unknown-recording' => 'One of these recordings is not on the Shelf; nothing was planned.',
    'unknown-member' => 'One of these people is not of the academy; nothing was planned.',
    'find' => 'Find by golfer, club or series; what is ticked stays',
    'of-all' => ':shown of :count recordings: what is chosen, then the newest that fit.',
    'shown-again' => 'Shown again, unannounced, with ten other cases between at the least',
    'waits' => ['1' => 'three weeks later, in a second part among new cases', '0' => 'within the one sitting'],
    'several' => 'Cases of several swings: a series, before and after, or a ladder',
    'no-series' => 'No series is held: three or more swings of one golfer brought in under one series’ name.',
    'series-about' => ':n swings, :device',
    'series-cold' => ', :n cold',
    'pair' => ':which pair, :end',
    'ladder' => [
        'title' => 'One ladder: a golfer before a change, then step by step further',
        'before' => 'before',
        'step' => 'step :n',
    ],
    'kept' => [
        'title' => 'Cases kept for later rounds, to tell a change from easier cases',
        'says' => 'They are read as any other, but their key and calls are told nobody who reads: the same cases can be '
            .'asked again after training. Readers then see their figures without them; figures of the whole round stay '
            .'with the head coach.',
        'draw' => 'of the cases above, drawn by lot',
        'from' => 'Ask again what was kept from',
        'of' => ':round (:count)',
    ],
    'name' => 'Name',
    'kind' => 'Read by',
    'kinds' => ['round' => 'instructors, scored against a key', 'panel' => 'the panel, to make a key'],
    'show' => 'What they are shown',
    'shows' => ['both' => 'film and trace', 'film' => 'film only', 'trace' => 'trace only',
        'crossed' => 'film, trace or both by turns: whether it matters is read off the same cases'],
    'lens' => 'Lens',
    'reveals' => 'A second look: once a case is handed in, it is read again with the ball’s flight and the numbers; '
        .'both '.
        'readings are kept',
    'members' => 'Members',
    'roles' => [
        'panel' => 'panel',
        'instructor' => 'instructors',
        'head-coach' => 'head coaches, whose readings are kept out of blind figures',
    ],
    'precision' => [
        'title' => 'How sure the figures will be',
        'expected' => 'A 95 % interval of one fault’s AC1 is to be expected this wide:',
        'too-few' => 'Over 0.5 is too few cases to say.',
        'none' => 'Suggest a set of cases in the first step, and it stands here how wide the intervals of its figures '
            .'are to '.
            'be expected. About ten cases are too few to judge one fault; forty tell good agreement from poor.',
    ],
    'expected-of' => 'with :raters raters who agree on :agreement %',
    'check' => [
        'title' => 'Check and keep',
        'cases' => 'One case is ticked|:count cases are ticked',
        'several' => 'One case has several swings|:count cases have several swings',
        'again' => 'One is shown again|:count are shown again',
        'kept' => 'One is kept for later rounds|:count are kept for later rounds',
        'people' => 'One person reads|:count people read',
        'nobody' => 'Nobody reads it yet: choose people in the second step.',
        'nothing' => 'No case is ticked yet: choose some in the first step.',
        'then' => 'Nobody sees it until you open it.',
    ],
    'keep' => 'Keep as a draft',
    'choose-recording' => 'Choose at least one recording.',
    'choose-member' => 'Choose at least one member.',
];
