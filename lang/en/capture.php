<?php

// A device at work.
return [
    'more' => 'More of the swing',
    'page' => 'Capture',
    'not-arrived' => ':ms ms of the last ten seconds have not arrived.',
    'sends' => 'What the device sends',
    'side' => 'Caught swings and devices',
    'token' => 'Token:',
    'caught' => 'Caught swings',
    'none-yet' => 'None yet. A swing is caught by itself about a second after it.',
    'none' => 'Swings stand here until they are put on the Shelf or left.',
    'devices' => 'Devices',
    'revoke' => 'take its token away',
    'renew' => 'give it another token',
    'ends' => 'its token ends on :day',
    'ended' => 'its token ended on :day',
    'any-kind' => 'any kind of device',
    'kind' => 'What it may send as',
    'off-by' => [
        'summary' => 'what it is off by',
        'why' => 'Half-widths of 95 % ranges that stay the same through a recording, where somebody has checked this '
            .'very device: with known masses, a rod on known places, or against another. Every ± is made with them. '
            .'What is left empty stays as its class of devices claims.',
        'share_points' => 'lead share, points',
        'force_percent' => 'force of one plate, % of body weight',
        'moment_nm' => 'free moment, N·m',
        'cop_mm' => 'centre of pressure, mm',
        'source' => 'how it was found out, by whom, when',
        'say-how' => 'Say how it was found out, by whom and when: a number that nobody vouches for is not taken.',
        'keep' => 'State it',
        'is' => 'as checked: :source',
    ],
    'no-device' => 'No device may send yet.',
    'name' => 'Name of the device',
    'bench-mat' => 'bench mat',
    'register' => 'Register',
    'once' => 'A token is shown once. The interface is described in docs/ingest.md.',
    'nothing' => [
        'title' => 'No device has sent anything yet',
        'register' => 'Register a device on this page; its token is shown once.',
        'bridge' => 'Give the token to the bridge that reads the device. What it sends appears here: both feet, the '
            .'share under '.
            'each, the last ten seconds.',
        'swing' => 'Swing. About a second later the swing stands beside this, to be put on the Shelf or left.',
        'try' => 'To try it without a device, run the simulated one:',
    ],
    'lead' => 'lead, %',
    'trail' => 'trail, %',
    'feet' => 'Both feet from above with the centre of pressure',
    'strip' => 'Lead share, the last ten seconds',
    'on-shelf' => 'on the Shelf',
    'golfer' => 'Golfer',
    'club' => 'club',
    'series' => 'series',
    'keep' => 'Put it on the Shelf',
    'leave' => 'leave it',
    // What the script says.
    'script' => [
        'armed' => 'Armed: catches swings',
        'not-armed' => 'Not armed',
        'live' => 'live, :seconds s',
        'silent' => 'no signal for :silent s; what came before is kept',
        'closed' => 'closed by the device',
        'no-answer' => 'the server does not answer; trying on',
    ],
];
