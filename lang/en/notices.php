<?php

// What was done.
return [
    'agreement' => [
        'published' => 'Published.',
        'exported' => 'The files are written; take them below.',
    ],
    'capture' => [
        'on-shelf' => 'On the Shelf.',
        'left' => 'Left.',
        'token-shown-once' => 'The token of “:name” is shown this once.',
        'no-longer-send' => '“:device” can no longer send.',
    ],
    'panel' => [
        'ruled-panel-s-label' => 'Ruled. The panel’s label and the measurement stay visible beside it.',
    ],
    'shelf' => [
        'events-taken-back' => 'The events were taken back; the clock stays where it is.',
        'film-clock' => 'The film’s first frame stands at :at s of the recording, ± :ms ms, :by; drift :drift.',
        'taken-away-with-its' => 'The :core-view was taken away, with its original.',
    ],
    'sittings' => [
        'handed-locked' => 'Handed in and locked.',
        'planned-as-draft-nobody' => 'Planned as a draft. Nobody sees it until you open it.',
        'open-its-members-find' => 'Open. Its members find their first case under Today.',
        'closed-nobody-read-any' => 'Closed. Nobody can read in it any more; nothing is published yet.',
    ],
    'works' => [
        'being-stopped-nothing-changed' => 'It is being stopped. Nothing was changed.',
    ],
];
