<?php

// Practice: a question, one answer, the truth.
return [
    'page' => 'Practice',
    'title' => 'Practice',
    'says' => 'Short sets of questions on swings whose rounds are published, and on simulated ones. Each is '
        .'answered at once, and the truth '
        .'is shown '
        .'at the same moment of the same swing. Nothing of it enters agreement, and nothing that you have still to '
        .'read is '
        .'asked.',
    'begin' => 'Practise',
    'go-on' => 'Go on',
    'chosen' => ':questions questions on :swings swings are open to you. The next one is chosen for you: where you '
        .'may be '
        .'weakest first.',
    'none' => 'No round is published yet: until then you practise on simulated swings.',
    'skills' => 'Where you stand',
    'fault' => 'Fault', 'right' => 'Right: it is :label.',
    'chance' => 'Likely right', 'answers' => 'Answers', 'one' => 'practise this',
    'aim' => 'The bar is where you probably lie (four times in five), the tick the likeliest place; the line is the '
        .'aim, '
        .':aim in a hundred. Rounds and practice count; what was practised fades.',
    'stands' => 'stands well',
    'done' => 'Done',
    'line' => ':date, :mode :right of :all right',
    'place' => 'Question :n of :of',
    'ask' => 'Is it there?',
    'answer' => 'Your answer',
    'wrong' => 'You said :said: it is :label.',
    'panel' => 'The panel: :present of :of who could tell say present; :grade.',
    'reasons' => 'What they saw',
    'pin' => 'a pin, without words',
    'at' => 'at :t s',
    'confused' => 'Not to be taken for it: :what.',
    'cannot' => 'With what was recorded here it is seen indirectly: :proxy.',
    'beside' => 'Beside one where it is otherwise',
    'next' => 'Next', 'enter' => 'enter',
    'stop' => 'Stop for now',
    'look-for' => 'Look for: :what.',
    'swing' => 'The swing', 'question' => 'The question',
    'staff' => [
        'title' => 'Who should practise what',
        'says' => 'Of each the faults that may lie lowest below the aim of :aim in a hundred, from the published '
            .'rounds and from '
            .'practice. What somebody answered is theirs; how often, and what is weak, is told here.',
        'person' => 'Instructor', 'weak' => 'Weakest first', 'week' => 'Answers this week',
        'last' => 'Last practised',
        'chance' => 'likely :chance %, perhaps only :low %',
        'never' => 'not yet',
        'days' => '{0} today|{1} yesterday|[2,*] :count days ago',
    ],
    'modes' => [
        'title' => 'What to practise',
        'score' => ':right of :all right so far',
        'fault' => ['name' => 'Is it there?', 'says' => 'One fault, one swing; where you may be weakest first.'],
        'alike' => ['name' => 'Which of two?', 'says' => 'Faults that are taken for one another: the one, the other, '
            .'both '
            .'or neither.'],
        'moment' => ['name' => 'To the frame', 'says' => 'Find the top and impact yourself; told in milliseconds.'],
        'seen' => ['name' => 'Can it be seen?', 'says' => 'What film, a mat or plates can show of a fault, and what '
            .'not.'],
        'advice' => ['name' => 'What to do?', 'says' => 'First cause, now or later, and a drill for this body.'],
        'artefact' => [
            'name' => 'Golfer or instrument?',
            'says' => 'What looks like technique in the trace: who did it?',
        ],
        'speed' => ['name' => 'Easy or full?', 'says' => 'One golfer at two speeds: in which is the fault?'],
        'whole' => ['name' => 'A whole case', 'says' => 'A call on each of several faults, and what comes first.'],
    ],
    'alike' => [
        'title' => ':one, or :other?',
        'asks' => 'Which is it?',
        'look' => ':one – :first; :other – :second',
        'both' => 'both',
        'neither' => 'neither',
        'skill' => ':one or :other',
    ],
    'moment' => [
        'asks' => 'Where is :station?',
        'mark' => 'It is here',
        'look' => [
            'TP' => 'the moment at which the club turns round',
            'IM' => 'the first moment of ball and club together',
        ],
        'exact' => 'To the millisecond.',
        'late' => ':ms ms late: :found.',
        'early' => ':ms ms early: :found.',
        'found' => 'found',
        'missed' => 'not found',
        'true' => ':station is at :t s, known to ± :unsure ms; within :within ms counts as found.',
        'yours' => 'your mark',
        'marks' => 'Look at both',
    ],
    'seen' => [
        'skill' => ':device, :way',
        'asks' => 'Shown is :way. Can it be seen? :device',
        'right' => 'Right: :label.',
        'wrong' => 'You said: :said. It is: :label.',
        'in' => ':way: :is.',
        'options' => [
            'observable' => 'yes, directly',
            'indirect' => 'only indirectly',
            'not-observable' => 'no: cannot tell is right',
        ],
        'note' => 'A call on what cannot be seen is an unsupported call; cannot tell is the right answer there and '
            .'is credited.',
    ],
    'advice' => [
        'skills' => ['cause' => 'first causes', 'decision' => 'now, later or leave', 'drill' => 'drills'],
        'titles' => ['cause' => 'What comes first?', 'decision' => ':fault: now, later or leave?', 'drill' => 'Which '
            .'drill?'],
        'asks' => [
            'cause' => 'Which of these is the first cause?',
            'decision' => 'It is there. What is to be done with it?',
            'drill' => 'Which of these would help this golfer, :rung?',
        ],
        'right' => 'As the panel: :label.',
        'wrong' => 'You said :said; the panel: :label.',
        'of' => ':says: :n of :all.',
        'drill' => ':drill: :would.',
    ],
    'making' => 'Swings are being made for you; some seconds. The page looks again by itself.',
    'made' => [
        'simulated' => 'simulated swing',
        'this' => 'this one',
        'with' => 'A simulated swing: “:fault” was put in, at :severity of 3.',
        'without' => 'A simulated swing: “:fault” was not put in.',
    ],
    'artefact' => [
        'title' => 'Golfer or instrument?',
        'asks' => 'It looks like :fault. Who did it?',
        'options' => ['golfer' => 'the golfer', 'instrument' => 'the instrument'],
        'right' => 'Right: :who.',
        'wrong' => 'It is :who.',
        'when' => 'Where it goes wrong',
        'note' => 'Look at film and trace together: what the instrument does, the body does not.',
        'mishaps' => [
            'slipped-and-back' => [
                'name' => 'a cover that slips and comes back',
                'look' => 'a burst in the path of the pressure before impact',
                'was' => 'The cover of the mat or plate slipped for a tenth of a second: the path jumps and '
                    .'comes back, the '
                    .'feet do not move.',
            ],
            'slipped-for-good' => [
                'name' => 'a cover that slips and stays',
                'look' => 'the path of the pressure standing away from the lead foot at impact',
                'was' => 'The cover slipped and stayed: from one sample to the next everything stands elsewhere.',
            ],
            'stuck' => [
                'name' => 'a clock that stops',
                'look' => 'a share that stands still in the downswing',
                'was' => 'The clock of the instrument stopped: the same value again and again, which no foot can do.',
            ],
            'foot-off' => [
                'name' => 'a foot off the edge',
                'look' => 'a share that jumps before impact',
                'was' => 'The lead foot stood over the edge of the plate for a while: the sum of the shares, or '
                    .'the force, '
                    .'falls with the jump.',
            ],
            'heel-and-toe-exchanged' => [
                'name' => 'heel and toe exchanged',
                'look' => 'pressure that runs toward the ball',
                'was' => 'The instrument lies the wrong way round: where it says toes, it is heels.',
            ],
            'plates-exchanged' => [
                'name' => 'plates exchanged',
                'look' => 'a trail foot that is hardly loaded going back',
                'was' => 'The plates are exchanged: what it calls lead is trail, and the body moves the other way.',
            ],
            'shares-exchanged' => [
                'name' => 'shares exchanged',
                'look' => 'a trail foot that is hardly loaded going back',
                'was' => 'The shares are exchanged: what it calls lead is trail, and the body moves the other way.',
            ],
            'push-across-off' => [
                'name' => 'a zero that is off',
                'look' => 'feet that hardly push against each other',
                'was' => 'The zero of the push across is off: it is not nought before the golfer steps on or '
                    .'stands still.',
            ],
        ],
    ],
    'speed' => [
        'title' => ':fault, easy and at full speed',
        'asks' => 'In which of the two is it?',
        'easy' => 'easy', 'full' => 'full speed',
        'options' => [
            'both' => 'in both', 'full' => 'only at full speed', 'easy' => 'only in the easy one', 'neither' => 'in neither',
        ],
        'in' => ['easy' => 'In the easy swing: :label. :why', 'full' => 'At full speed: :label. :why'],
        'note' => 'A fault that hides at low speed comes back with it; a rehearsal tells nothing of the swing by '
            .'itself. What '
            .'was overdone on purpose when easy is gone at full speed.',
    ],
    'whole' => [
        'title' => 'A whole case',
        'skill' => 'whole cases',
        'asks' => 'What is there, and what comes first?',
        'cause' => 'First cause',
        'asks-there' => 'What is there?',
        'right' => 'As you said, :is: :what.',
        'wrong' => ':what: :is; you said :said.',
        'head' => '{0} All of it right.|{1} One of :of is otherwise.|[2,*] :count of :of are otherwise.',
        'short' => ['present' => 'P', 'absent' => 'A', 'cannot-tell' => 'C'],
        'keys' => 'P, A or C calls the marked line and goes to the next; arrows go up and down; figures name the '
            .'cause.',
        'hand-in' => 'Tell me',
    ],
    'contrast' => [
        'page' => 'Contrast sets',
        'title' => 'Contrast sets',
        'way' => 'Contrast sets: simulated swings side by side.',
        'says' => 'Simulated swings of one golfer that differ in one thing, on one bench, held at the same '
            .'station. They are '
            .'nobody’s, are marked as simulated wherever they stand, and count for nothing but practice.',
        'what' => 'What differs',
        'kinds' => [
            'fault' => 'one fault: not there, slight, clear, dominant',
            'alike' => 'two that are taken for one another',
            'artefact' => 'the instrument, or the golfer',
            'speed' => 'easy and at full speed, without and with a fault',
        ],
        'titles' => [
            'fault' => ':one, from none to dominant',
            'alike' => ':one, or :other',
            'artefact' => ':mishap, or :one',
            'speed' => ':one, easy and at full speed',
        ],
        'swings' => [
            'fault' => ['absent' => 'not there', 'slight' => 'slight', 'clear' => 'clear', 'dominant' => 'dominant'],
            'alike' => ['neither' => 'neither', 'one' => 'the one', 'other' => 'the other'],
            'artefact' => ['instrument' => 'the instrument', 'golfer' => 'the golfer', 'neither' => 'neither'],
            'speed' => [
                'easy-without' => 'easy, without', 'full-without' => 'full, without',
                'easy-with' => 'easy, with', 'full-with' => 'full, with',
            ],
        ],
        'other' => 'Taken for', 'choose' => 'choose', 'mishap' => 'What goes wrong', 'device' => 'Recorded by',
        'hand' => 'Hand', 'lens' => 'Lens', 'make' => 'Make it', 'sets' => 'Made before',
        'making' => 'being made',
        'none' => 'None yet: the first is made in some seconds.',
        'swings-of' => 'The swings of the set', 'apart' => 'What tells them apart', 'measure' => 'Measure',
        'told' => 'Told apart by :what',
        'not-told' => 'No measure of this instrument tells them apart',
        'simulated' => 'Simulated: as ideal as a made golfer is. A recorded swing is never as clean.',
        'practise' => 'Practise this', 'again' => 'Another golfer', 'once-more' => 'Once more',
        'not-under-lens' => 'This fault does not count under that lens, or cannot be made.',
        'the-same' => 'A fault is not taken for itself: choose another.',
        'not-on-device' => 'This cannot befall that instrument.',
    ],
    'progress' => [
        'page' => 'Progress', 'own' => 'How far you have come', 'way' => 'How far you have come.',
        'finding' => 'Over twelve weeks :up of :of faults have gone up beyond their doubt, :down down; of the '
            .'others it cannot '
            .'be said.',
        'faults' => 'Fault by fault',
        'how' => 'Likely right, from rounds and practice as they were known each second week of :weeks; the band '
            .'holds four '
            .'times in five. In :ahead weeks: what is left if nothing is practised. The dashed line is the aim, :aim in a '
            .'hundred; pictures begin at 40.',
        'over' => ':weeks weeks', 'was' => 'Then', 'now' => 'Now', 'moved' => 'Moved', 'ahead' => 'In :ahead weeks',
        'moves' => ['up' => 'up', 'down' => 'down', 'open' => 'cannot be said'],
        'fades' => 'fades below the aim',
        'none' => 'Nothing was answered yet.',
        'practised' => 'Answers in practice, week by week',
        'rounds' => 'Round by round', 'round' => 'Round', 'share' => 'Right', 'calibrated' => 'How sure',
        'minutes' => 'Minutes a case', 'cases' => 'Cases',
        'right-of' => ':share % of :n calls', 'sure' => ':sure %, :by',
        'surer' => 'surer than right', 'less-sure' => 'less sure than right', 'as-sure' => 'as sure as right',
        'again' => 'The same swing again',
        'did' => 'What practice did to the next round',
        'one-round' => 'It cannot be said: one round is published. It takes two that ask some of the same cases.',
        'no-pairs' => 'It cannot be said: of :golfers golfers a case was asked in both of the last two rounds '
            .'with calls on '
            .'what was practised and on what was not; it takes :least.',
        'effect' => 'What was practised between the last two rounds changed by :points points more than what was '
            .'not, on the '
            .'same cases of :golfers golfers (p = :p). Debrief and memory of the cases are in it.',
        'no-effect' => 'It cannot be said: what was practised changed by :points points more than what was not, '
            .'on the same '
            .'cases of :golfers golfers, and as much comes about by chance (p = :p).',
    ],
];
