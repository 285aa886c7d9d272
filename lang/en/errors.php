<?php

// What a page says when there is no page: what happened, what was kept, where to go.
return [
    '400' => [
        'title' => 'That could not be read',
        'says' => 'What was sent holds characters that are no text, or an address that is none. Nothing was stored.',
    ],
    '403' => [
        'title' => 'Not yours to do',
        'says' => 'This belongs to somebody else’s work, or to who runs the academy. Nothing was changed.',
    ],
    '404' => [
        'title' => 'Nothing is here',
        'says' => 'Either there is no such page, or it is not yours to see now. What you were doing is kept.',
    ],
    '405' => [
        'title' => 'That address takes no such request',
        'says' => 'The page is there, but not what was asked of it. Nothing was changed.',
    ],
    '413' => [
        'title' => 'That is too large',
        'says' => 'What was sent is larger than this server takes at once. Nothing was stored; films go up in pieces '
            .'from the Bench, traces want a file of a few megabytes.',
    ],
    '419' => [
        'title' => 'This page had grown old',
        'says' => 'It had stood open longer than a log-in lasts, so that what it sent was not taken. Calls of a '
            .'reading '.
            'are kept in this browser and go out by themselves. Go back, load the page anew and send it again.',
    ],
    '429' => [
        'title' => 'A little slower',
        'says' => 'There were too many tries within a minute, and the last one was not taken. Nothing is lost: wait a '
            .'minute and try again.',
    ],
    '500' => [
        'title' => 'Something went wrong here',
        'says' => 'It is a fault of the program, not yours, and it was written down. What was saved before is safe; '
            .'what this page was about to do was not done. Try once more; if it comes again, tell who looks after '
            .'the server the time it happened.',
    ],
    '503' => [
        'title' => 'Closed for a moment',
        'says' => 'The application is being looked after, or what it stands on is being started, and will be back shortly. What '
            .'this page was about to do was not done. Calls of a reading that is open are '
            .'kept in this browser and go out by themselves.',
    ],
    '507' => [
        'title' => 'No room left here',
        'says' => 'The server’s disk is full, so that this was not stored; what was stored before is safe. Tell who looks '
            .'after the server. Calls of a reading are kept in this browser and go out by themselves.',
    ],
    'today' => 'Today',
    'back' => 'Back',
    'at' => 'Time: :time',
];
