<?php

// A letter to an instructor about one round.
return [
    'page' => 'Letter',
    'link' => 'As a letter',
    'dear' => 'Dear :first,',
    'about' => 'about :round of :day: what your :calls scored calls say beside the panel’s key.',
    'none' => 'None of your calls of this round is scored, so there is nothing to say of them yet.',
    'well' => 'What you see well',
    'well-line' => 'You saw :fault in :seen of the :there swings that had it; others like them you would see in at '
        .'least :low of a hundred, as far as so few swings can tell.',
    'no-well' => 'Nothing was there often enough, and seen surely enough, to be called so yet. That is a matter of '
        .'how few swings there were as much as of your eye.',
    'next' => 'What to look at next',
    'missed' => ':fault: missed :missed times.',
    'over' => ':fault: called :over times where it was not.',
    'both' => ':fault: missed :missed times, and called :over times where it was not.',
    'again' => 'Look at these again:',
    'was-missed' => ':swing – it was there',
    'was-over' => ':swing – it was not',
    'no-next' => 'No fault was called wrongly twice.',
    'times' => 'When you say it happens',
    'time' => ':station: on average :ms ms :side, over :n swings.',
    'early' => 'early',
    'late' => 'late',
    'drill' => 'What your drills would have done',
    'drills' => 'Of the drills you chose that the panel judged, :helps % would help, :harms % would do harm and '
        .':unsafe % are unsafe for that golfer; of the rest the panel is not certain.',
    'no-drills' => 'None of the drills you chose was judged by the panel.',
    'unsaid' => 'What cannot be said yet',
    'unsaid-line' => 'These were there fewer than :times times: :faults.',
    'nothing-unsaid' => 'Every fault was there often enough to say something of it.',
    'key' => 'The key is a panel’s estimate, and so is everything said beside it. This letter is for you and the '
        .'head coach alone.',
    'withheld' => 'Times and drills are not told while a swing of this round waits for a blind reading.',
    'print' => 'Print',
    'pdf' => 'PDF',
];
