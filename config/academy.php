<?php

return [
    // Times are stored in UTC and shown in the academy's zone: this one until it has chosen.
    'zone' => env('ACADEMY_ZONE', 'Europe/Dublin'),
    // What a panel study is planned with, where nothing else is said: a label needs this share of those who could tell,
    // and at least this many of them; so many times what lacks a majority is gone over once more, until this share of
    // the answers stays as it was.
    'majority' => 0.75,
    'able' => 3,
    'following_rounds' => 2,
    'stability' => 0.9,
    'bootstrap' => 2000,
    // How much one person may bring in on one day, MB.
    'upload_mb_a_day' => (int) env('UPLOAD_MB_A_DAY', 30_720),
    // A file with the seconds by which now() is ahead, for trying what comes later; never set where people work.
    'clock_file' => env('CLOCK_FILE'),
];
