<?php

// Taking a recording away for good.
return [
    'page' => 'Take away',
    'bench' => 'Bench',
    'title' => 'Take away :name?',
    'whole' => '{0} Nothing hangs on it. It goes whole: trace, body points, no film, stations and measures. This '
        .'cannot be undone.|{1} Nothing hangs on it. It goes whole: trace, body points, one film, stations and '
        .'measures. This cannot be undone.|[2,*] Nothing hangs on it. It goes whole: trace, body points, :count films, '
        .'stations and measures. This cannot be undone.',
    'in-part' => 'Film, trace, body points and measures go, at once and for good. What people said of it stays, '
        .'without the swing:',
    'asked-in' => 'Asked about in',
    'state' => 'State',
    'cases' => 'Cases',
    'readings' => 'Readings handed in',
    'states' => ['draft' => 'draft', 'open' => 'open', 'closed' => 'closed', 'published' => 'published'],
    'stays' => ':entries entries of keys and the figures made from all this stay as they are, are marked as made from '
        .'erased inputs, and are never worked out again. Where a round is open, its readers are not asked about it '
        .'any more.',
    'keep' => 'Keep it',
    'take' => 'Take it away',
    'gone' => 'It is gone.',
    'gone-in-part' => 'Its film, trace and measures are gone. What was said of it stays, marked.',
];
