<?php

// The grades of a key.
return [
    'says' => [
        'verified' => 'the panel agrees, and the measurement agrees beyond its uncertainty',
        'panel only' => 'the panel agrees; nothing measured here can decide it',
        'borderline' => 'the panel agrees; the measurement lies inside the margin',
        'conflict' => 'the panel agrees, and the measurement contradicts it',
        'contested' => 'the panel does not agree',
    ],
];
