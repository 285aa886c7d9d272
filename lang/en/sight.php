<?php

// Why something cannot be looked at now, by Core\Sight\Why.
return [
    'feel' => 'The golfer has still to say what was felt; then the numbers are in sight.',
    'own' => 'This is your own swing. It is put before you in no round; you may look at it in a private review.',
    'page' => 'Not now',
    'next' => 'Next case',
    'today' => 'Today',
    'back' => 'Back to Today',
    'consent' => 'The consent for this recording has ended; it is no longer shown, and this case is asked of nobody '
        .'any more.',
    'erased' => 'Film and trace of this recording were erased; this case is asked of nobody any more.',
    'awaited' => 'One of these swings waits for a reading of yours without the numbers; hand that in first.',
    'others' => 'In this round sheets open again, and second looks begin, when your last case is handed in.',
    'unpublished' => 'It can be looked at when the round is published.',
];
