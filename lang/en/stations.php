<?php

// The nine stations of a swing, and the phases between them.
return [
    'names' => [
        'AD' => 'address',
        'TB' => 'shaft level, going back',
        'LB' => 'lead arm level, going back',
        'TP' => 'top',
        'LD' => 'lead arm level, coming down',
        'SD' => 'shaft level, coming down',
        'IM' => 'impact',
        'ST' => 'shaft level, through',
        'FI' => 'finish',
    ],
    'definitions' => [
        'AD' => 'last still moment before the club moves',
        'TB' => 'the shaft crosses horizontal in the backswing',
        'LB' => 'the lead arm crosses horizontal in the backswing',
        'TP' => 'the shaft reverses',
        'LD' => 'the lead arm crosses horizontal in the downswing',
        'SD' => 'the shaft crosses horizontal in the downswing',
        'IM' => 'the club head meets the ball, or passes its place',
        'ST' => 'the shaft crosses horizontal after impact',
        'FI' => 'first rest of club and pelvis after impact, before any relaxed recoil',
    ],
];
