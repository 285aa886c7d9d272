<?php

// A person's own place.
return [
    'page' => 'My account',
    'keep' => 'Keep',
    'name' => [
        'title' => 'Name',
        'label' => 'Name as it is read',
        'hint' => 'Others read it where names are shown; never beside your calls.',
    ],
    'password' => [
        'title' => 'Password',
        'current' => 'Password you have now',
        'new' => 'New password',
        'again' => 'New password once more',
        'hint' => 'Twelve letters or more. Several words in a row are good; signs and figures are not asked for.',
        'act' => 'Change it',
        'none' => 'There is no password.',
        'short' => 'A password has :n letters or more; this one is too short.',
        'long' => 'This password is longer than can be kept: 72 letters at most.',
        'common' => 'This password is one of those that are tried first. Several words that do not belong together '
            .'are better.',
        'about' => 'This password is made of your name, your address or the academy’s name. Choose one that nobody '
            .'who knows you would try.',
    ],
    'address' => [
        'title' => 'Address',
        'says' => 'Letters go to both addresses. It changes when both have said yes.',
        'new' => 'New address',
        'act' => 'Ask both',
    ],
    'factor' => [
        'title' => 'Second factor',
        'none' => 'With a second factor a password alone lets nobody in: a code from your telephone is asked for too.',
        'since' => 'In use since :date.',
        'left' => '{0} No recovery code is left.|{1} One recovery code is left.|[2,*] :count recovery codes are left.',
        'set-up' => 'Set it up',
        'look' => 'Recovery codes, or end it',
        'set-up-title' => 'Set up a second factor',
        'owes' => 'Whoever runs an academy sees films of its golfers: a second factor comes first.',
        'steps' => [
            'program' => 'Open a program for one-time codes on your telephone.',
            'read' => 'Let it read this picture, or type the letters beside it.',
            'code' => 'Type the six figures that it shows now.',
        ],
        'picture' => 'The letters beside it, as a picture for a telephone',
        'secret' => 'Or type',
        'code' => 'Six figures',
        'keep' => 'Use it from now on',
        'codes-once' => 'Recovery codes, shown this once. Each lets you in once when the telephone is lost. Write them '
            .'down and keep them where the telephone is not.',
        'renew' => 'Make new recovery codes',
        'drop' => 'End the second factor',
        'go-on' => 'Go on',
    ],
    'sessions' => [
        'title' => 'Where you are logged in',
        'with' => 'With',
        'from' => 'From',
        'at' => 'Last seen',
        'here' => 'here',
        'on' => ':browser on :on',
        'unknown' => 'another program',
        'end' => 'end',
        'end-others' => 'End all but this one',
    ],
    'tried' => [
        'title' => 'Log-ins of late',
        'at' => 'At',
        'what' => 'What came of it',
        'in' => 'let in',
        'password' => 'wrong password',
        'code' => 'wrong code',
    ],
    'data' => [
        'title' => 'My data',
        'says' => 'What is held of you: who you are here, and what you said in rounds that are published and in '
            .'private '
            .'reviews. Rounds under way follow when they are published.',
        'act' => 'Take it away, as JSON',
    ],
    'leave' => [
        'title' => 'Leave the academy',
        'says' => 'You can no longer log in. What you read and said stays in the rounds in which you did; cases you '
            .'still had to read are left out. Only a new invitation brings you back.',
        'act' => 'Leave',
    ],
];
