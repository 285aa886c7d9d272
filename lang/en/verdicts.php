<?php

// What a rule comes to.
return [
    'supported' => 'supported',
    'borderline' => 'borderline',
    'contradicted' => 'contradicted',
    'not measurable' => 'not measurable',
];
