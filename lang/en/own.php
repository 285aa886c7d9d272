<?php

// A person's own swings.
return [
    'page' => 'My own swings',
    'says' => 'Only you see what you say here: it stands in no list, no record and no figure. First you read the swing '
        .'blind, then you see what the ball did and what was measured.',
    'none' => 'None of the academy’s golfers is you, or nothing of yours may be used now. Your head coach can say '
        .'which '
        .'golfer you are.',
    'heads' => ['swing' => 'Swing', 'day' => 'Recorded', 'state' => ''],
    'states' => ['new' => 'not looked at', 'blind' => 'begun', 'second' => 'read; the ball and the numbers are in sight'],
    'acts' => ['new' => 'Look at it', 'blind' => 'go on', 'second' => 'look again'],
];
