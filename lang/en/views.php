<?php

// The sides a swing is seen from, and what is shown of it.
return [
    'face-on' => 'face-on',
    'down-the-line' => 'down the line',
    'points' => [
        'points' => '3-D points',
        'face-on' => 'face-on film',
        'down-the-line' => 'down-the-line film',
    ],
    'film' => 'film',
    'nothing' => 'nothing',
    'only' => ':one only',
    'and' => ' and ',
];
