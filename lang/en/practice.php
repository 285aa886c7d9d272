<?php

// Practice: a question, one answer, the truth.
return [
    'page' => 'Practice',
    'title' => 'Practice',
    'says' => 'Short sets of questions on swings whose rounds are published. Each is answered at once, and the truth is shown '
        .'at the same moment of the same swing. Nothing of it enters agreement, and nothing that you have still to read is '
        .'asked.',
    'begin' => 'Practise',
    'go-on' => 'Go on',
    'chosen' => ':questions questions on :swings swings are open to you. The next one is chosen for you: where you may be '
        .'weakest first.',
    'none' => 'There is nothing to practise on yet: questions come from rounds that were published.',
    'skills' => 'Where you stand',
    'fault' => 'Fault', 'right' => 'Right: it is :label.',
    'chance' => 'Likely right', 'answers' => 'Answers', 'one' => 'practise this',
    'aim' => 'The bar is where you probably lie (four times in five), the tick the likeliest place; the line is the aim, '
        .':aim in a hundred. Rounds and practice count; what was practised fades.',
    'stands' => 'stands well',
    'done' => 'Done',
    'line' => ':date: :right of :all right',
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
];
