<?php

// One round.
return [
    'left-out' => 'left out',
    'reopen' => [
        'title' => 'Open a hand-in again',
        'says' => 'Where somebody handed in by mistake and asks for it, before the round is closed. It stands in '
            .'the record.',
        'which' => 'Hand-in',
        'one' => ':name: :case, :club, :at',
        'act' => 'Open it again',
    ],
    'own' => [
        'title' => 'Own swings',
        'person' => '{1} one case is not put before :name, whose own swing it is|'
            .'[2,*] :count cases are not put before :name, whose own swings they are',
    ],
    'rounds' => 'Rounds',
    'title' => [
        'draft' => ':round is a draft',
        'open' => ':round is open',
        'closed' => ':round is closed',
        'published' => ':round is published',
    ],
    'panel' => 'panel study',
    'staff' => 'staff round',
    'cases' => '{1} one case|[0,*] :count cases',
    'in-two-parts' => ' in two parts, :days days apart',
    'members' => '{1} one member|[0,*] :count members',
    'reveals' => 'with a second look',
    'lens' => 'lens :lens',
    'against' => 'scored against :key, key version :version',
    'opened' => 'opened :date',
    'closed' => 'closed :date',
    'published' => 'published :date',
    'next' => [
        'draft' => [
            'act' => 'Open the round',
            'panel' => 'Everybody gets the cases in an order of their own.',
            'staff' => 'Everybody gets the cases in an order of their own, and the key is frozen.',
        ],
        'open' => [
            'act' => 'Close the round',
            'panel' => 'What is not handed in stays out. There is no way back.',
            'staff' => 'What is not handed in stays out. There is no way back.',
        ],
        'closed' => [
            'act' => 'Publish',
            'panel' => 'The panel sees the spread of calls, the consensus and its grades.',
            'staff' => 'Each member sees their own figures, and the others’ without names.',
        ],
    ],
    'see' => ['panel' => 'See the key', 'staff' => 'See the figures'],
    'first' => 'Look at the consensus and rule on conflicts first',
    'progress' => ':done of :of readings handed in',
    'heads' => [
        'member' => 'Member',
        'done' => 'Handed in',
        'cases' => 'Cases',
        'last' => 'Last handed in',
        'case' => 'Case',
        'swings' => 'Swings',
        'device' => 'Device',
        'shown' => 'Shown',
    ],
    'told-apart' => [
        'title' => 'Shown twice, and known again',
        'says' => '{1} One of the :of swings shown twice has nothing like it in this round: :swings.'
            .'|[2,*] :count of the :of swings shown twice have nothing like them in this round: :swings.',
        'instead' => 'Whoever notes what stands beside a swing – club and shape, hand and limits, device and film, a '
            .'recording that begins at address – knows it again without looking at it. Plan the round with another '
            .'swing of the same kind beside each, or have others come twice.',
    ],
    'exposed' => [
        'title' => 'Read by people who had seen the answer',
        'person' => '{1} :name, :count case|[2,*] :name, :count cases',
        'kept' => 'These readings are kept, and left out of every blind figure.',
    ],
    'bias' => [
        'none' => 'Knowing the result changed no call',
        'title' => 'Knowing the result changed :n of :of calls',
        'looks' => ':n second looks are handed in.',
        'became' => ':n became :call',
        'causes' => 'The first cause was named otherwise in :n.',
        'first' => 'Figures are made from the first look alone.',
    ],
    'case-list' => 'Cases',
    'due-on' => 'due :date',
    'out' => 'taken out :date: :why',
    'run' => [
        'title' => 'While it is held: day, reminders, people, cases',
        'due' => 'To be read by',
        'set' => 'Set',
        'late' => 'Nothing closes by itself: what comes late counts until you close, and who has read a part counts '
            .'with that part.',
        'remind' => '{1} Remind the one who has not handed in all|[2,*] Remind the :count who have not handed in all',
        'reminded' => 'At most once a day, here and in the day’s letter; three days and one day before it is due it is '
            .'done by itself.',
        'seat' => 'Seat',
        'instead' => 'in place of',
        'nobody' => 'nobody',
        'sit' => 'Seat them',
        'whole' => 'Who comes reads every case; who goes keeps what was handed in and is asked nothing more.',
        'case' => 'Take out',
        'reason' => 'because',
        'out' => 'Take it out',
    ],
    'calendar' => [
        'page' => 'Rounds',
        'title' => '{0} :round|{1} :round: one case to read|[2,*] :round: :count cases to read',
        'says' => 'Each is read alone and blind. They wait at :url',
    ],
    'crossed' => 'film, trace or both by turns',
    'kept' => 'kept for later rounds',
    'kinds' => ['single' => 'one', 'series' => 'series', 'pair' => 'pair', 'ladder' => 'ladder'],
    'held' => '{1} One more is not shown to you: you have still to read it, or the consent has ended.|[2,*] :count '
        .'more are '.
        'not shown to you: you have still to read them, or the consent has ended.',
];
