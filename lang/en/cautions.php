<?php

// What is said wherever people could be hurt.
return [
    'drills' => 'Warm up, clear the space, stop on pain. Injury, dizziness or balance problems go to a physician or '
        .'physiotherapist; minors only with a guardian’s consent and under the academy’s safeguarding rules. This is '
        .'teaching help, not medical advice; the academy’s own rules and licensed professionals take precedence.',
    'loads' => 'It loads what this golfer is to spare: :limits.',
];
