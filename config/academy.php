<?php

return [
    // Times are stored in UTC and shown in the academy's zone: this one until it has chosen.
    'zone' => env('ACADEMY_ZONE', 'Europe/Dublin'),
    // A panel label needs this share of those who could tell, and at least this many of them.
    'majority' => 0.75,
    'able' => 3,
    // So many times a panel goes once more over what lacks a majority.
    'following_rounds' => 2,
    'bootstrap' => 2000,
    // A file with the seconds by which now() is ahead, for trying what comes later; never set where people work.
    'clock_file' => env('CLOCK_FILE'),
];
