<?php

// Letters, in plain text.
return [
    'sign' => ':academy',
    'invited' => [
        'subject' => 'Your place at :academy',
        'body' => "Hello :name,\n\nyou are invited to read swings at :academy. Choose a password here; the link "
            .'holds for '
            ."two weeks and works once:\n\n:url\n\nIf you do not know what this is about, leave it: nothing happens.",
    ],
    'reset' => [
        'subject' => 'A new password',
        'body' => "Hello :name,\n\nsomebody, you we hope, has asked for a new password. Choose it here within the "
            ."hour:\n\n:url\n\nIf it was not you, leave it: your password stays as it is.",
    ],
    'password-changed' => [
        'subject' => 'Your password was changed',
        'body' => "Hello :name,\n\nyour password at :academy was changed just now. If it was not you, tell your head "
            .'coach at once.',
    ],
    'address-from' => [
        'subject' => 'A change of your address',
        'body' => "Hello :name,\n\nyou have asked to be reached at :email from now on. Say yes here within a "
            ."day:\n\n:url"
            ."\n\nThe new address is asked as well. If it was not you, leave it, and change your password.",
    ],
    'address-to' => [
        'subject' => 'Is this your address?',
        'body' => "Hello :name,\n\nsay here, within a day, that :email is your address:\n\n:url\n\nIf you do not know "
            .'what this is about, leave it: nothing happens.',
    ],
    'factor-dropped' => [
        'subject' => 'Your second factor was ended',
        'body' => "Hello :name,\n\nthe second factor of your account at :academy was ended just now: the password "
            .'alone '
            .'lets you in. If you do not know why, tell your head coach at once.',
    ],
    'digest' => [
        'subject' => 'What happened at :academy',
        'body' => "Hello :name,\n\n:lines\n\n:url\n\nWhat you are told of, and how, you choose at :ways",
    ],
];
