<?php

// Who may be left alone with footwork, on which evidence, until when.
return [
    'checks' => [
        'page' => 'Weekly check',
        'name' => 'This week’s check, :week',
        'says' => 'Three kept cases for every instructor, every week, read blind and quietly: nobody is told what was right, and '
            .'the cases come back after some weeks. What is watched is whether anybody’s calls move against the others’. The '
            .'cases are set apart: no test, no practice and no debrief has them.',
        'from' => 'Cases of',
        'panel' => ':panel: :cases cases that no instructor knows',
        'weekday' => 'Opens on',
        'days' => [1 => 'Monday', 2 => 'Tuesday', 3 => 'Wednesday', 4 => 'Thursday', 5 => 'Friday', 6 => 'Saturday',
            7 => 'Sunday'],
        'start' => 'Start',
        'stop' => 'Stop the checks',
        'no-cases' => 'No published panel has :least cases of different golfers that no instructor has read or been told of. '
            .'Have a panel read some that no round has.',
        'title' => '{0} Nobody has moved|{1} One has moved|[2,*] :count have moved',
        'about' => ':panel, :cases cases set apart, opens on :day; :weeks weeks so far.',
        'none-yet' => 'The first check opens on :day',
        'heads' => ['who' => 'Who', 'read' => 'This week', 'units' => 'Cases so far', 'plot' => 'Week by week',
            'says' => 'Against the others'],
        'more' => '{0} is looked at with the next check|{1} needs one case more|[2,*] needs :count cases more',
        'steady' => 'within chance: right :right, calls of present :present, limit ± :limit',
        'moved' => [
            'less-right' => 'is right less often than before',
            'more-right' => 'is right more often than before',
            'fewer' => 'calls fewer faults present than before',
            'more' => 'calls more faults present than before',
        ],
        'how' => 'A case’s score is the person’s right calls, or calls of present, less the mean of the others’ on the same '
            .'questions, so that a hard week moves nobody. From :least cases on, the newest :window are held against all of them '
            .'by letting cases change places; the limit is one that an unchanging reader passes in one year of twenty. Nobody has moved who has not moved '
            .'whichever of the others is left out, for one who turns seems to move the others too. Solid is '
            .'right calls, dashed is calls of present.',
    ],
    'page' => 'Readiness',
    'title' => 'Who is ready',
    'own-title' => 'Where you stand',
    'says' => 'The decision is a person’s. A rule says what must be shown; a test reads case after case until it '
        .'is settled, '
        .'and nobody reads more than that. Practice and simulated swings count for nothing here.',
    'own-says' => 'A rule says what must be shown to be left alone with footwork. Each opens to the evidence '
        .'there is, what is '
        .'missing, and the way to the test.',
    'no-rules' => 'There is no rule yet.',
    'new' => 'Make a rule',
    'person' => 'Person',
    'waiting' => [
        'asks' => ':name asks to be tested: :rule', 'over' => 'The test of :name is over: :rule',
        'appeals' => ':name appeals: :rule',
    ],
    'asked' => 'Asked to be tested',
    'ask-line' => ':name, for :rule',
    'about' => ':device · lens: :lens · version :version',
    'any-device' => 'whatever recorded it',
    'states' => [
        'none' => 'not decided',
        'signed-off' => 'signed off until :until',
        'refused' => 'not signed off',
        'suspended' => 'suspended',
        'expired' => 'ended on :until',
        'recheck' => 'to be checked again: nothing read for long',
    ],
    'appealed' => 'appealed',
    'test-asked' => 'asked for the test',
    'test-open' => 'being tested',
    'kinds' => ['sensitivity' => 'found where it is there', 'specificity' => 'left alone where it is not'],
    'criterion' => ':name: :kind',
    'asks' => 'bar :bar %, good :good %',
    'of' => ':right of :calls calls',
    'share' => ':share % of :n (:low–:high)',
    'nothing' => 'nothing yet',
    'evidence' => 'The evidence',
    'from' => '{0} Nothing was read yet in published rounds that counts here.|{1} From one case, read in a '
        .'published round.'
        .'|[2,*] From the last :count cases that were read blind in published rounds.',
    'line' => 'The bar is the interval (golfers as clusters), the tick the share; the lines are the bar and what '
        .'is good. It '
        .'informs; the test decides.',
    'read-off' => 'Read off the same cases',
    'more' => [
        'few' => '{1} one more would say|[2,*] :count more would say',
        'near' => '{1} one more as it should be would do|[2,*] :count more as they should be would do',
        'missed' => '{1} one more as it should be would do|[2,*] :count more as they should be would do',
    ],
    'verdicts' => ['met' => 'met', 'near' => 'near', 'missed' => 'missed', 'few' => 'too few'],
    'bars' => [
        'cause' => ['name' => 'First cause', 'unit' => '% at least, of cases', 'asks' => 'as the panel in :limit % of :of or more',
            'says' => ':value % of :n'],
        'unsafe' => ['name' => 'Unsafe drills', 'unit' => 'at most, of the last', 'asks' => 'at most :limit in the last :of',
            'says' => ':value of :n'],
        'cannot-tell' => ['name' => 'Cannot tell, where that is right', 'unit' => '% at least, of questions',
            'asks' => ':limit % or more of :of or more', 'says' => ':value % of :n'],
        'unsupported' => ['name' => 'Calls without support', 'unit' => '% at most, of calls', 'asks' => ':limit % at most of :of or more',
            'says' => ':value % of :n'],
        'timing' => ['name' => 'Top and impact marked', 'unit' => 'ms off at the median, of marks',
            'asks' => 'within :limit ms at the median of :of or more', 'says' => ':value ms, of :n'],
        'self' => ['name' => 'The same call again', 'unit' => '% at least, of calls made twice', 'asks' => ':limit % or more of :of or more',
            'says' => ':value % of :n'],
        'recency' => ['name' => 'Read lately', 'unit' => 'days at most', 'asks' => 'a case in the last :limit days',
            'says' => ':value days ago'],
    ],
    'test' => [
        'title' => 'The test',
        'none' => 'No test yet.',
        'asked' => 'Asked for on :date.',
        'open' => '{1} Under way since :date: one case put before the person. How it stands is told when it is '
            .'over.|[2,*] Under '
            .'way since :date: :count cases put before the person. How it stands is told when it is over.',
        'ended' => '{1} The last test, :date, one case: :state.|[2,*] The last test, :date, :count cases: :state.',
        'criterion' => 'test: :decision, :right of :calls',
        'decided' => 'test: :decision',
        'states' => [
            'goes on' => 'goes on',
            'signed off' => 'passed',
            'refused' => 'not passed',
            'not signed off' => 'not settled',
            'stopped' => 'stopped',
        ],
        'fresh' => '{0} There is no case left that this person has never read nor been told of.|{1} One case is '
            .'fresh for this '
            .'person.|[2,*] :count cases of :golfers golfers are fresh for this person; a test takes one of each golfer.',
        'begin' => 'Begin the test', 'go-on' => 'Put another case',
        'decline' => 'Decline',
        'stop' => 'Stop the test',
        'ask' => 'Ask for the test',
        'wait' => 'The head coach begins it; the first case then stands on Today.',
    ],
    'decide' => [
        'title' => 'Decide',
        'reaches' => 'The test is passed and every bar is met.',
        'not' => 'Not all that the rule asks is there; what is decided all the same is kept with the reason.',
        'reason' => 'Why',
        'conditions' => 'Conditions, if any',
        'appeal' => 'Appeal',
        'appeal-why' => 'Why it should be looked at again',
    ],
    'acts' => [
        'signed-off' => 'Sign off', 'refused' => 'Do not sign off', 'suspended' => 'Suspend', 'reinstated' => 'Reinstate',
        'upheld' => 'Uphold the appeal', 'turned-down' => 'Turn the appeal down',
    ],
    'decisions' => [
        'title' => 'What was decided',
        'signed-off' => 'signed off', 'refused' => 'not signed off', 'suspended' => 'suspended', 'reinstated' => 'reinstated',
        'appealed' => 'appealed', 'upheld' => 'appeal upheld', 'turned-down' => 'appeal turned down',
        'by' => ':date, :by, by version :version of the rule',
        'until' => 'until :until',
        'under' => 'Conditions: :conditions',
        'statement' => 'statement',
    ],
    'rule' => [
        'make' => 'A rule of readiness', 'itself' => 'The rule',
        'name' => 'What it is for', 'device' => 'Recorded by', 'lens' => 'Lens', 'months' => 'Holds for, months',
        'criteria' => 'Tested case by case',
        'criteria-says' => 'A fault, or faults that belong together. Whoever is right no more often than the bar '
            .'is signed off '
            .'one time in twenty at most; whoever is as often right as good is refused by all of it together one time in ten.',
        'group' => 'Called', 'kind' => 'What', 'bar' => 'Bar, %', 'good' => 'Good, %', 'faults' => 'Faults',
        'chosen' => '{0} none chosen|{1} one chosen|[2,*] :count chosen',
        'bars' => 'Read off the last cases',
        'limit' => 'Limit', 'of' => 'Of',
        'keep' => 'Keep the rule', 'change' => 'Keep as the next version', 'retire' => 'Lay it down',
        'takes' => 'What a test takes',
        'takes-says' => 'Cases with a call for the criterion, one a golfer; how alike calls of one case are '
            .'comes from the '
            .'published rounds, or is taken to be 0.3 where they are too few to say.',
        'fixed' => 'Fixed length', 'at-bar' => 'Usual, at the bar', 'at-good' => 'Usual, of a good one', 'most' => 'At most',
        'have' => 'Golfers there are',
        'short' => 'cannot be reached with the golfers there are: record others, pool faults, or set bar and '
            .'good farther apart',
        'enough' => 'enough',
        'alike' => ':calls calls a case, alike to :alike',
        'staff' => 'How the staff stand',
        'staff-says' => 'From all published rounds under this lens, whatever recorded them. Plain intervals; it '
            .'is a preview and '
            .'decides nothing.',
        'sides' => ['below' => 'below the bar', 'above' => 'above the bar', 'between' => 'open', '' => ''],
        'versions' => 'Versions',
        'version' => 'version :version, :date',
        'old' => 'This version was replaced or laid down; it stays as it was.',
    ],
    'no-criterion' => 'A rule needs a criterion at least: a name and its faults.',
    'half-criterion' => 'A criterion needs a name and at least one fault.',
    'no-rule' => 'Each criterion needs a bar below what is good, and is there once; limits must be what can be.',
    'statement' => [
        'title' => 'Statement of readiness',
        'text' => ':name is signed off: :rule.',
        'on' => 'Decided on :date by :by. It holds until :until.',
        'evidence' => 'On the evidence of :cases cases read blind in published rounds, and of the test.',
        'row' => ':name – :kind: :right of :calls',
        'code' => 'Verification code',
        'how' => 'Whoever holds this code can see at :url whether the statement is genuine and still holds.',
        'now' => 'Today, :today: :now.',
        'print' => 'Print',
        'note' => 'It says who reads footwork as the academy’s panel does. It is no licence, and takes the place '
            .'of none: the '
            .'academy’s rules and licensed professionals take precedence.',
    ],
    'verify' => [
        'title' => 'Is a statement genuine?',
        'says' => 'Type the code that stands on it.',
        'code' => 'Code',
        'look' => 'Look',
        'none' => 'No statement has this code.',
        'holds' => 'It is genuine, and holds today.',
        'not' => 'It is genuine, and does not hold today.',
    ],
];
