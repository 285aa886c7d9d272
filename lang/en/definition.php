<?php

// A fault's own page in the codebook.
return [
    'rules' => 'Its rules',
    'lens' => 'Lens',
    'off' => 'It does not count under :lenses.',
    'drills' => [
        'title' => 'Drills',
        'helps' => 'help', 'harms' => 'make it worse', 'none' => 'none',
    ],
    'examples' => [
        'title' => 'Examples',
        'none' => 'No recording stands beside it yet.',
        'says' => 'Whoever looks at one has seen an answer and does not read that swing blind any more; this is noted.',
        'shows' => 'shows it', 'not' => 'is taken for it, and does not',
        'look' => 'Look at it',
        'drop' => 'take it away',
        'added' => 'It stands beside the fault now.',
        'dropped' => 'Taken away.',
        'panel' => 'Panel: :label, :present of :of who could tell; :grade.',
        'add' => 'Put a recording beside it',
        'recording' => 'Recording', 'as' => 'It', 'note' => 'What is to be seen in it',
        'no-candidates' => 'No golfer agrees to teaching material yet.',
        'button' => 'Put it there',
    ],
    'holds' => 'Does the definition hold?',
    'round' => 'Round', 'cases' => 'Cases',
    'joined' => 'Joined when one says present', 'alpha' => 'Krippendorff’s α',
    'panel' => 'Panels judged :cases cases: :contested stayed contested, of the others it is there in :present.',
    'device' => 'What was shown', 'calls' => 'Calls', 'untold' => 'Cannot tell',
    'devices' => [
        'mat' => 'a mat', 'plate' => 'one plate', 'dual-plate' => 'two plates', 'film' => 'film alone',
    ],
    'nothing' => 'No round that you may see has asked it yet.',
    'pointers' => 'Proposals point at something to look at. Calls of one reader, and of one golfer’s swings, hang '
        .'together; intervals count golfers, not calls.',
    'edit' => 'Change it in the draft',
];
