<?php

use Illuminate\Support\Facades\Schedule;

// Commands live in app/Console/Commands and are found there. What is done by itself where the scheduler runs, on one
// machine of several:
Schedule::command('backup:make')->dailyAt('02:40')->withoutOverlapping(180)->onOneServer();
Schedule::command('backup:verify')->weeklyOn(0, '04:10')->withoutOverlapping(360)->onOneServer();
Schedule::command('audit:verify')->dailyAt('03:50')->withoutOverlapping(60)->onOneServer();
