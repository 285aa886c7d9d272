<?php

// Logging in.
return ['page' => 'Log in', 'address' => 'Address', 'password' => 'Password', 'act' => 'Log in',
    'refused' => 'That address and password do not go together.',
];
