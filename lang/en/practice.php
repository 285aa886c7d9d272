<?php

// Practice: a question, one answer, the truth.
return [
    'page' => 'Practice',
    'title' => 'Practice',
    'says' => 'Short sets of questions on swings whose rounds are published. Each is answered at once, and the truth '
        .'is shown '
        .'at the same moment of the same swing. Nothing of it enters agreement, and nothing that you have still to '
        .'read is '
        .'asked.',
    'begin' => 'Practise',
    'go-on' => 'Go on',
    'chosen' => ':questions questions on :swings swings are open to you. The next one is chosen for you: where you '
        .'may be '
        .'weakest first.',
    'none' => 'There is nothing to practise on yet: questions come from rounds that were published.',
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
];
