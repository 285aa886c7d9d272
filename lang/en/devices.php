<?php

// What stood under the feet.
return [
    'mat' => 'pressure mat',
    'plate' => 'force plate',
    'dual-plate' => 'two force plates',
];
