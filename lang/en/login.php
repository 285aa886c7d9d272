<?php

// Logging in, and what letters lead to.
return [
    'page' => 'Log in',
    'address' => 'Address',
    'password' => 'Password',
    'act' => 'Log in',
    'unsent-one' => 'One call of a reading is kept in this browser and has not reached the academy. It is sealed; it goes '
        .'out when the person who made it logs in here again and opens the reading.',
    'unsent' => ':n calls of readings are kept in this browser and have not reached the academy. They are sealed; they go '
        .'out when the person who made them logs in here again and opens the reading.',
    'refused' => 'That address and password do not go together.',
    'too-late' => 'That took too long. Begin again.',
    'failed-since' => '{1} Somebody failed to log in as you since you were here last, on :at from :from. If that was not '
        .'you, choose another password.|[2,*] :count log-ins as you failed since you were here last, the latest on :at '
        .'from :from. If that was not you, choose another password.',
    'fresh' => [
        'page' => 'Say once more that it is you',
        'says' => 'What comes next cannot be taken back, leaves the academy or changes what others may do. You have not '
            .'given your password for a while: give it once more. What you filled in is kept.',
        'refused' => 'That is not your password.',
        'done' => 'Thank you. Now go on with what you were about to do.',
    ],
    'forgotten' => 'I have forgotten my password',
    'forgotten-page' => 'A new password',
    'forgotten-says' => 'A letter with a link goes to your address. The link holds for an hour.',
    'forgotten-act' => 'Send it',
    'code' => [
        'page' => 'One more code',
        'label' => 'Code',
        'hint' => 'Six figures from your program for codes, or one of your recovery codes.',
        'act' => 'Go on',
        'back' => 'Begin again',
        'refused' => 'That code is wrong, too old, or was used already.',
    ],
    'reset' => [
        'page' => 'Choose a new password',
        'says' => 'Wherever you are logged in now, you will be logged out.',
        'act' => 'Keep it',
    ],
    'change' => [
        'page' => 'Change of address',
        'address-from' => 'Shall you be reached at :email from now on, and no longer here?',
        'address-to' => 'Is :email your address?',
        'act' => 'Yes',
    ],
    'over' => [
        'page' => 'This link is over',
        'says' => 'It was used already, is too old, or a newer one was sent. Nothing was changed. '
            .'Ask for another one where this one came from.',
    ],
];
