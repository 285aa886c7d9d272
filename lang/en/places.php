<?php

// The places of the application, as they are called at the head of every page.
return [
    'today' => 'Today',
    'library' => 'Library',
    'study' => 'Study',
    'findings' => 'Findings',
    'training' => 'Training',
    'academy' => 'Academy',
    'page' => [
        'today' => 'Today',
        'shelf' => 'Shelf',
        'capture' => 'Capture',
        'codebook' => 'Codebook',
        'rounds' => 'Rounds',
        'panel' => 'Panel',
        'agreement' => 'Agreement',
        'debrief' => 'Debrief',
        'reports' => 'Reports',
        'practice' => 'Practice',
        'contrast' => 'Contrast sets',
        'readiness' => 'Readiness',
        'record' => 'Record',
        'people' => 'People',
        'golfers' => 'Golfers',
        'settings' => 'The academy',
    ],
    // As those call them who read.
    'own' => ['today' => 'Today', 'agreement' => 'My results', 'panel' => 'Panel', 'practice' => 'Practice',
        'readiness' => 'Readiness',
        'codebook' => 'Codebook'],
    'skip' => 'Skip to the page',
    'nav' => 'Places',
    'within' => 'In :place',
    'theme' => 'Light or dark',
    'log-out' => 'Log out',
    'product' => 'Verified Consensus',
];
