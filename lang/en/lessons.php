<?php

// Sessions of a golfer.
return [
    'title' => ':golfer, :day',
    'sessions' => 'Sessions',
    'none' => 'No session is written down yet.',
    'begin' => 'Begin a session',
    'begin-act' => 'Begin',
    'held-on' => 'Day',
    'complaint' => 'What the golfer complains of',
    'aim' => 'What the golfer aims at',
    'explanation' => 'What the golfer thinks happens',
    'traits' => 'Traits of last time',
    'tried' => 'What was tried',
    'asks-feel' => 'the golfer says what is felt before any number is shown',
    'said' => 'What was said',
    'aims' => 'aims at :aim',
    'balls' => '{1} one ball|[2,*] :count balls',
    'waits' => 'the feel is still to be said',
    'feel' => 'Felt',
    'feel-says' => 'Write what the golfer feels, in the golfer’s words, before anybody looks at a number. Then it '
        .'is locked.',
    'held' => '{1} One swing waits for it: film only, no trace and no number.|[2,*] :count swings wait for it: film '
        .'only, no '
        .'trace and no number.',
    'feel-label' => 'In the golfer’s words',
    'lock' => 'Keep and lock',
    'locked' => 'locked on :at',
    'not-asked' => 'Was not asked for.',
    'swings' => 'Swings of this session',
    'no-swings' => 'None of this golfer’s that you may see now.',
    'keep' => 'Keep',
    'ball-log' => '{0} Balls|{1} One ball|[2,*] :count balls',
    'drop-ball' => 'take out',
    'as-file' => 'The balls as a file',
    'add-ball' => 'Log a ball',
    'number' => 'Ball',
    'note' => 'Note',
    'log' => 'Log it',
    'from-file' => 'Or from a file with columns ball, start_deg, curve_deg, height, strike',
    'take-in' => 'Take in',
];
