<?php

// What the commands for backups say.
return [
    'made' => 'Backup :name: :rows rows and :files files, :mb MB before they were closed.',
    'carried' => 'Files carried over: :carried; there already: :there. What lies here was left here.',
    'not-made' => 'No backup was made: :why.',
    'rotated' => '{0} None was old enough to go.|{1} One older backup was taken away.|[2,*] :count older backups were taken '
        .'away.',
    'end' => 'The record’s end in it: :end',
    'whole' => 'Backup :name is whole: every part opens, and its database, restored beside, is the same row for row.',
    'broken' => 'Backup :name is not whole.',
    'restored' => 'Backup :name is laid down: :rows rows and :files files. Now run: php artisan migrate --force',
    'not-restored' => 'Nothing can be used yet: :why.',
];
