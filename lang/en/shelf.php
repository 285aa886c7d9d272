<?php

// The Shelf: recordings by golfer and session.
return [
    'tick' => 'Tick swing :swing of :golfer, :club',
    'page' => 'Shelf',
    'title' => '{1} One recording|[2,*] :count recordings in :sessions sessions',
    'title-some' => ':count of :total recordings',
    'ended' => '{1} One more is out of sight: the consent has ended.|[2,*] :count more are out of sight: the consent '
        .'has ended.',
    'nothing-fits' => 'No recording fits this filter.',
    'empty' => 'Recordings stand here. Add the first from a file below.',
    'add' => 'add one',
    'any' => 'any',
    'all' => 'show all',
    'apply' => 'Show',
    'find' => 'Golfer, club or session',
    'left-handed' => 'left-handed',
    'until' => 'until :date',
    'cold' => 'cold',
    'being-measured' => 'being measured',
    'findings' => '{1} one finding|[2,*] :count findings',
    'no-fault' => 'no fault for certain',
    'bench' => 'Bench: :golfer, :club, swing :swing',
    'evidence' => ['none' => 'no film', 'figure' => 'figure', '1' => 'one view', '2' => 'two views'],
    'fields' => [
        'club' => 'Club',
        'hand' => 'Hand',
        'device' => 'Device',
        'fault' => 'Measured fault',
        'order' => 'Order',
    ],
    'hands' => ['right' => 'right', 'left' => 'left'],
    'devices' => ['mat' => 'pressure mat', 'plate' => 'force plate', 'dual-plate' => 'two force plates'],
    'orders' => ['newest' => 'newest first', 'golfer' => 'by golfer', 'club' => 'by club'],
    'heads' => [
        'golfer' => 'Golfer and session',
        'swings' => 'Swings: lead share, address to finish',
        'consent' => 'Consent',
    ],
    'pages' => [
        'nav' => 'More of the list',
        'earlier' => 'Back',
        'later' => 'More',
        'at' => ':from to :to of :of sessions',
    ],
    'import' => [
        'title' => 'Add recordings from files',
        'golfer' => 'Golfer, where the files’ names do not say',
        'handed' => ':golfer (:hand-handed)',
        'files' => 'Recordings: CSV, bundle or C3D, with their side-cars',
        'look' => 'Look at it',
        'says' => 'You see what was understood – columns, units, the trace, its quality, the stations – before '
            .'anything is stored. Any CSV with a header will do: columns are guessed by their names and can be set '
            .'right. Several files come at once: one named osier_2026-11-20_03.csv is the third of Osier’s that '
            .'day, and '
            .'osier_2026-11-20_03.json beside it is its side-car.',
    ],
];
