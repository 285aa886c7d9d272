<?php

// The reading sheet, as its scripts say it.
return [
    'calls' => ['present' => 'present', 'absent' => 'absent', 'cannot-tell' => 'cannot tell'],
    'rest' => 'The rest is absent',
    'rest-absent' => 'One more of this station is absent|:count more of this station are absent',
    'rest-none' => 'Every fault of this station has its call.',
    'check' => [
        'here' => 'Present: :faults.',
        'nothing-here' => 'Nothing is called present.',
        'counts' => 'Absent: :absent. Cannot tell: :unsure.',
        'cause' => 'First cause: :cause.',
        'chain' => 'Chain: :links.',
        'cue' => 'To say: “:cue”.',
        'drill' => 'Drill: :drill.',
        'as-far-as' => ':drill, as far as :stop',
        'miss' => 'Expected miss: :miss.',
        'go' => 'Go there',
        'open' => [
            'call' => 'One fault has no call yet: :faults|:count faults have no call yet: :faults',
            'severity' => 'One present fault has no severity yet: :faults|:count present faults have no severity yet: '
                .':faults',
            'trend' => 'Better, same or worse? :faults',
            'cause' => 'No first cause yet',
            'stop' => 'How far to take the drill?',
            'cue' => 'The one thing to say has more than eight words',
        ],
        'left' => 'Left out, and may be: :parts.',
        'parts' => [
            'cue' => 'the one thing to say',
            'drill' => 'a drill',
            'miss' => 'the miss to expect',
            'chain' => 'the chain',
            'marks' => 'your own top and impact',
        ],
        'on-its-way' => 'Not everything has reached the server yet; it is kept here and will be sent when the network '
            .'is back.',
    ],
];
