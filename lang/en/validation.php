<?php

// How fields are called in what is said of them.
return [
    'attributes' => [
        'current' => 'password',
        'current_for_address' => 'password',
        'current_to_leave' => 'password',
        'email' => 'address',
        'typed' => 'name',
        'on_panel' => 'seat on the panel',
    ],
];
