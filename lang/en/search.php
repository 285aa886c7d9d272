<?php

// Looking for something from anywhere.
return [
    'page' => 'Search',
    'open' => 'Search',
    'field' => 'A golfer, a recording, a person, a fault, a round, a word',
    'act' => 'Search',
    'ask' => 'Type a part of a name. Several words narrow it down.',
    'nothing' => 'Nothing you may see is called “:asked”.',
    'found' => '{1} One place to go to|[2,*] :count places to go to',
    'places' => 'Pages',
    'rounds' => 'Rounds and panel studies',
    'golfers' => 'Golfers',
    'recordings' => 'Recordings',
    'people' => 'People',
    'faults' => 'Faults',
    'measures' => 'Measures',
    'words' => 'Words',
    'states' => ['draft' => 'draft', 'open' => 'open', 'closed' => 'closed', 'published' => 'published'],
    'hands' => ['right' => 'right-handed', 'left' => 'left-handed'],
    'results' => 'What was found',
    'menu' => 'Menu',
    // What the script says.
    'script' => ['no-answer' => 'The server does not answer; try again.'],
];
