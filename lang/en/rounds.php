<?php

// The rounds.
return [
    'page' => 'Rounds',
    'empty' => 'A round is a set of recordings that a group reads blind. Begin with a panel study: it makes the key.',
    'plan' => 'Plan a round',
    'by-panel' => 'the panel',
    'by-instructors' => 'instructors',
    'states' => ['draft' => 'draft', 'open' => 'open', 'closed' => 'closed', 'published' => 'published'],
    'key' => 'key',
    'figures' => 'figures',
    'heads' => [
        'name' => 'Round',
        'readBy' => 'Read by',
        'state' => 'State',
        'cases' => 'Cases',
        'members' => 'Members',
        'done' => 'Handed in',
        'result' => 'Result',
    ],
    'done' => ':done of :of handed in',
    'pages' => ['nav' => 'More rounds', 'earlier' => 'Later', 'later' => 'Earlier', 'at' => ':from to :to of :of'],
];
