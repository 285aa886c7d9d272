<?php

// What a call, or a key's label, is called.
return [
    'present' => 'present',
    'absent' => 'absent',
    'cannot-tell' => 'cannot tell',
    'none' => 'no label',
    'severities' => [1 => 'slight', 2 => 'clear', 3 => 'dominant'],
];
