<?php

// The academy itself.
return [
    'page' => 'The academy',
    'name' => 'Name of the academy',
    'zone' => 'Time zone of its days and hours',
    'letterhead' => 'Letterhead',
    'letterhead-hint' => 'Lines of words at the head of letters and reports: name, place, how to reach you.',
    'keep' => 'Keep',
    'begin' => [
        'house' => 'You have an academy already, on another machine? Bring it here as it is, where the server runs:',
        'page' => 'Begin',
        'says' => 'This makes the academy and its first head coach: you. Everybody else is invited from within.',
        'own-name' => 'Your name',
        'own-address' => 'Your address',
        'act' => 'Begin',
    ],
    'invited' => [
        'page' => 'Welcome to :academy',
        'says' => 'You will log in as :email. Choose a password.',
        'name' => 'Your name as others read it',
        'act' => 'Come in',
    ],
    'groups' => [
        'title' => 'Groups',
        'says' => 'Sites, how long people have taught, or what else you choose the members of a round by.',
        'kind' => 'Kind of group',
        'name' => 'Name of the group',
        'people' => '{0} nobody|{1} one person|[2,*] :count people',
        'drop' => 'take away',
        'add' => 'Add',
    ],
    'house' => [
        'title' => 'To another machine',
        'says' => 'One file takes the whole academy along: people, golfers, films, rounds, readings, keys, figures and '
            .'the record. It also holds what is still hidden from you and from everybody who reads blind, so it is '
            .'made where the server runs, and not here:',
        'then' => 'On the other machine, where nothing is yet:',
        'came' => 'This academy came here whole from another machine.',
    ],
    'sample' => [
        'title' => 'Clear the sample away',
        'says' => ':name is invented. Clearing takes its people, golfers, recordings, rounds and results away for '
            .'good; '
            .'then a real academy begins. Nothing of it is kept.',
        'typed' => 'Type “:name” to say that you mean it',
        'act' => 'Clear it away and begin',
    ],
    'letters' => [
        'page' => 'Letters to hand over',
        'says' => 'No mail server is set up, so letters are laid here for a month. A link in one does what it says for '
            .'whoever holds it: hand it to its person only.',
        'none' => 'Invitations, links for new passwords and notices are laid here.',
    ],
];
