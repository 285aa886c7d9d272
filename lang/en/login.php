<?php

// Logging in.
return ['page' => 'Log in', 'address' => 'Address', 'password' => 'Password', 'act' => 'Log in'];
