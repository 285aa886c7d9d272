<?php

// What the ball did, for either hand.
return [
    'all' => ':start, :curve, :height; :strike:low:path:attack:turf',
    'start' => [
        'straight' => 'started straight',
        'push' => 'started :degrees° to the push side',
        'pull' => 'started :degrees° to the pull side',
    ],
    'curve' => [
        'straight' => 'flew straight',
        'fade' => 'faded :degrees°',
        'slice' => 'sliced :degrees°',
        'draw' => 'drew :degrees°',
        'hook' => 'hooked :degrees°',
    ],
    'height' => ['low' => 'low', 'normal' => 'normal', 'high' => 'high'],
    'strike' => [
        'centre' => 'struck in the centre',
        'fat' => 'struck fat',
        'thin' => 'struck thin',
        'top' => 'topped',
        'toe' => 'struck toe',
        'heel' => 'struck heel',
    ],
    'path' => ['push' => ', path :degrees° to the push side', 'pull' => ', path :degrees° to the pull side'],
    'attack' => ['up' => ', :degrees° upward', 'down' => ', :degrees° downward'],
    'turf' => [
        'none' => ', no mark in the turf',
        'clean' => ', turf brushed or cut after the ball',
        'dug-behind' => ', dug behind the ball',
        'rolled-up' => ', turf rolled up under the foot',
        'spun' => ', the foot spun on the spot',
    ],
    'low-point' => [
        'ahead' => ', low point :cm cm ahead of the ball',
        'behind' => ', low point :cm cm behind the ball',
    ],
];
