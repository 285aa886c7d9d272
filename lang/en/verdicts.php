<?php

// What a rule comes to.
return [
    'supported' => 'supported',
    'leans-supported' => 'leans to supported',
    'borderline' => 'borderline',
    'leans-contradicted' => 'leans to contradicted',
    'contradicted' => 'contradicted',
    'not-measurable' => 'not measurable',
    'not-observable' => 'not observable',
];
