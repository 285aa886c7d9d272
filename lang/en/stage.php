<?php

// Film or figure, ribbon, trace and foot map on one clock.
return [
    'seen' => [
        'face-on' => 'The golfer seen face-on',
        'down-the-line' => 'The golfer seen from behind, along the target line',
    ],
    'trace-only' => 'Trace only',
    'no-film' => 'There is no film for this case.',
    'film-only' => 'Film only',
    'no-trace' => 'There is no pressure or force trace for this case.',
    'moment' => 'Moment in the swing',
    'lanes' => 'Marks under the ribbon',
    'marks-of-each' => 'Marks of each person',
    'swings' => 'Swings of the case',
    'foot-map' => 'Both feet from above, with the centre of pressure',
    'trace' => [
        'share' => 'Lead share, %',
        'derived' => 'derived from the stance',
        'force' => 'dotted: vertical force, % of body weight',
        'over-time' => 'Trace of lead share over time',
    ],
    'do' => [
        'station-back' => ['name' => 'previous station', 'hint' => 'previous station (Shift+←)'],
        'frame-back' => ['name' => 'one frame back', 'hint' => 'one frame back (←)'],
        'play' => ['name' => 'play or halt', 'hint' => 'play or halt (space)'],
        'frame-on' => ['name' => 'one frame on', 'hint' => 'one frame on (→)'],
        'station-on' => ['name' => 'next station', 'hint' => 'next station (Shift+→)'],
        'speed' => ['name' => 'speed', 'hint' => 'speed (S)'],
        'feet' => ['name' => 'feet', 'hint' => 'near to the feet, or the whole picture (=)'],
    ],
    'aid' => 'Drawing aids',
    'aids' => [
        'draw' => 'draw …',
        'plumb' => 'plumb line',
        'hips' => 'hips at address',
        'foot' => 'a foot at address',
        'angle' => 'angle of a foot',
        'heel' => 'height of a heel',
        'last' => 'take the last away',
        'all' => 'take all away',
    ],
];
