<?php

// Where backups lie, and what closes them. The key is kept elsewhere too: without it no backup opens.
return [
    'root' => env('BACKUP_ROOT', storage_path('backups')),
    'key' => env('BACKUP_KEY', ''),
    // Whether they are made by themselves, so that one that did not come is told by /up.
    'expected' => (bool) env('BACKUP_EXPECTED', false),
    // How many are kept: of the last days, weeks and months one each.
    'daily' => (int) env('BACKUP_DAILY', 7),
    'weekly' => (int) env('BACKUP_WEEKLY', 5),
    'monthly' => (int) env('BACKUP_MONTHLY', 6),
];
