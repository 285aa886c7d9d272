<?php

// What was done.
return [
    'undone' => 'Taken back: it is as it was.',
    'academy' => [
        'kept' => 'Kept.',
        'invited' => ':name is invited.',
        'invitation-withdrawn' => 'The invitation of :name was taken back.',
        'disabled' => ':name is kept out.',
        'left' => 'Done. What was read and said stays.',
        'enabled' => ':name is let in again.',
        'reset-sent' => 'A link for a new password has gone to :name.',
        'reset-asked' => 'If somebody with this address is here, a letter has gone there.',
        'password-changed' => 'The password is changed. Log in with it.',
        'password-changed-here' => 'The password is changed. Everywhere else you are logged out.',
        'address-asked' => 'If this address is free, letters have gone to both.',
        'address-half' => 'Noted. The other address has still to say yes.',
        'address-changed' => 'The address is changed. Log in with the new one.',
        'session-ended' => 'Ended.',
        'factor-dropped' => 'The second factor is ended.',
        'factor-of-dropped' => 'The second factor of :name is ended; a letter tells them.',
        'golfer-taken-up' => ':golfer is taken up. Before a swing may be used, record what the golfer agrees to.',
        'feel-locked' => 'Kept and locked. The numbers are in sight now.',
        'ball-dropped' => 'Taken out.',
        'limit-ended' => 'Noted that it has ended.',
        'consent-recorded' => 'Recorded what :golfer agrees to.',
        'consent-withdrawn' => 'Taken back. From now on nothing of it is used.',
        'group-dropped' => 'The group “:name” was taken away; its people stay.',
    ],
    'agreement' => [
        'published' => 'Published.',
        'exported' => 'The files are written; take them below.',
    ],
    'report' => ['written' => 'Kept; it stands in the report.'],
    'capture' => [
        'on-shelf' => 'On the Shelf.',
        'left' => 'Left.',
        'token-shown-once' => 'The token of “:name” is shown this once.',
        'checked' => 'It holds for what “:device” records from now on.',
        'no-longer-send' => '“:device” can no longer send.',
    ],
    'debrief' => [
        'decided' => 'Written down. It stands on Today until it is done.',
        'done' => 'Done.',
        'ended' => 'The debrief is over. These are its minutes.',
    ],
    'panel' => [
        'following-opened' => 'Open. The panel’s members find it under Today.',
        'following-closed' => 'Closed. The key is being made anew from what was said.',
        'following-answered' => 'Saved.',
        'ruled-panel-s-label' => 'Ruled. The panel’s label and the measurement stay visible beside it.',
    ],
    'shelf' => [
        'events-taken-back' => 'The events were taken back; the clock stays where it is.',
        'film-clock' => 'The film’s first frame stands at :at s of the recording, ± :ms ms, :by; drift :drift.',
        'taken-away-with-its' => 'The :core-view was taken away, with its original.',
    ],
    'sittings' => [
        'reopened' => 'Opened again: its reader finds it under Today.',
        'handed-locked' => 'Handed in and locked.',
        'planned-as-draft-nobody' => 'Planned as a draft. Nobody sees it until you open it.',
        'open-its-members-find' => 'Open. Its members find their first case under Today.',
        'closed-nobody-read-any' => 'Closed. Nobody can read in it any more; nothing is published yet.',
    ],
    'works' => [
        'being-stopped-nothing-changed' => 'It is being stopped. Nothing was changed.',
    ],
];
