<?php

// What a person is told without asking, on the page and in the day's letter.
return [
    'page' => 'Notices',
    'new' => '{1} One notice|[2,*] :count notices',
    'seen' => 'Seen',
    'seen-now' => 'Seen.',
    'word' => '{1} notice|[2,*] notices',
    'none' => 'Nothing has happened that you asked to be told of.',
    'says' => [
        'opened' => '“:sitting” is open: there are cases to read.',
        'published' => 'The figures of “:sitting” are published.',
        'due' => 'Cases of “:sitting” still wait to be read by you.',
        'reopened' => 'A hand-in of yours in “:sitting” was opened again: look at it once more.',
        'all-in' => 'Everybody has handed in “:sitting”: it can be closed.',
        'came' => ':person has come to the academy.',
        'moved' => 'The calls of :person in the weekly checks have moved against the others’: look, and talk it over.',
        'moved-own' => 'Your calls of the last weeks have moved against the others’, beyond chance. Which way, your head coach can '
            .'tell; practise, and talk it over.',
        'consents' => 'What :golfer has agreed to runs out within a month.',
    ],
    'gone' => 'something that is no longer here',
    'ways' => [
        'title' => 'What to tell you, and how',
        'says' => 'The day’s letter comes in the morning, once, with what you have not seen by then.',
        'kinds' => [
            'opened' => 'a round or a panel opens that you have a seat in',
            'published' => 'figures are published',
            'due' => 'a round of yours is due soon, and cases wait',
            'reopened' => 'a hand-in of yours is opened again',
            'all-in' => 'everybody has handed in',
            'came' => 'somebody who was invited has come',
            'consents' => 'what a golfer agreed to runs out',
            'moved' => 'calls in the weekly checks move against the others’',
        ],
        'by' => ['letter' => 'here, and in the day’s letter', 'page' => 'here', 'off' => 'not at all'],
        'keep' => 'Keep',
        'kept' => 'Kept. What was written down already stays.',
    ],
];
