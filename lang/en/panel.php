<?php

// A panel's consensus.
return [
    'set-right' => '{1} The facts of one of its swings were set right since this key was frozen; it keeps what it '
        .'used.|'
        .'[2,*] The facts of :count of its swings were set right since this key was frozen; it keeps what it used.',
    'page' => 'Panel',
    'no-study' => 'The spread of calls, the consensus and its grades appear here when a panel study has been closed.',
    'waits' => 'A part of the key waits for you',
    'waits-says' => 'Swings that you have still to read blind are not shown, nor any count that would tell of them.',
    'being-made' => 'The key is being made',
    'title' => 'The panel agrees on :agreed of :of questions, and the measurement bears out :verified of them',
    'members' => ':n members, each alone and blind',
    'label' => 'a label needs :share % of those who could tell, :able of them at least',
    'key' => 'key version :version',
    'frozen' => ', frozen :date',
    'erased' => 'Inputs erased :date: what was worked out before stands, and is not worked out again.',
    'decide' => 'Where a person must decide',
    'in' => 'in',
    'spread' => ['present' => ':n present', 'absent' => ':n absent', 'cannot-tell' => ':n cannot tell'],
    'ruled' => 'Ruled :ruling on :date: “:reason”',
    'rulings' => ['none' => 'left out of scoring', 'present' => 'present', 'absent' => 'absent'],
    'ruling' => 'Ruling',
    'choices' => [
        'none' => 'leave out of scoring',
        'present' => 'present, as the panel says',
        'absent' => 'absent',
    ],
    'reason' => 'The reason, for those who must defend it',
    'rule' => 'Rule',
    'frozen-says' => 'This version is frozen by a round. A ruling makes a new version; rounds already opened '
        .'keep the one '
        .'they were opened with.',
    'every' => 'Every case and fault',
    'every-says' => 'How many of :n said present.',
    'legend' => [
        'present' => 'label present',
        'absent' => 'label absent',
        'none' => 'no label or conflict',
        'dashed' => 'a dashed edge: the measurement cannot bear it out.',
    ],
    'recording' => 'Recording',
    'decisions' => [
        'nav' => 'More that was or must be decided',
        'earlier' => 'Back',
        'later' => 'More',
        'at' => ':from to :to of :of',
    ],
    'cases' => ['nav' => 'More cases', 'earlier' => 'Back', 'later' => 'More', 'at' => ':from to :to of :of cases'],
    'reason-too-short' => 'Give the reason in at least ten characters: others will have to defend it.',
    'advice' => [
        'title' => 'First causes, and what to do',
        'says' => 'In bold what has its majority: every cause named by a majority of the members or left out by one. What '
            .'has none is told with how many named it; nobody is scored by it. Misses are the mean likelihood.',
        'parts' => [
            'causes' => 'First causes',
            'chain' => 'Leads to',
            'priority' => 'First to work on',
            'misses' => 'Misses',
            'sound' => 'To be kept',
            'drills' => 'Drills named',
        ],
        'none' => 'none',
        'other' => 'something else: “:words”',
        'link' => ':from → :to',
        'of' => ':n of :of',
        'holds' => 'the change holds',
        'break-untold' => 'where it breaks cannot be told',
        'breaks' => 'the change breaks at swing :swing',
        'before' => 'The sheets of this study could not yet say causes outside the feet, misses or what is sound.',
    ],
];
