<?php

// How figures and what is said of them are written.
return [
    'undefined' => 'undefined: :why',
    'all-words' => 'All words',
    'words-here' => 'Words used here:',
    'not-computed' => 'not computed',
    'thin' => 'too few cases to say',
    'to' => ' to ',
    'none' => '–',
    'no-interval' => 'no interval',
    'beyond' => 'A table that may reach beyond the page',
];
