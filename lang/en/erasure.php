<?php

// Erasing, on request and by the academy's rules.
return [
    'page' => 'How long things are held',
    'consent-days' => 'Erase a swing so many days after every consent to it has ended',
    'film-days' => 'Erase a film so many days after it came; the trace stays',
    'days-hint' => 'Empty: held as long as it is agreed to.',
    'keep-rules' => 'Keep these rules',
    'rules-kept' => 'Kept. Nothing has gone yet: below stands what would.',
    'would-go' => 'What would go now',
    'nothing-would' => 'Nothing, by these rules.',
    'dry' => 'Nothing goes before you say so. Untick what shall stay.',
    'do' => 'Erase what is ticked',
    'receipts' => 'Receipts',
    'receipt' => 'Receipt of what was erased',
    'number' => 'Number',
    'at' => 'Erased on',
    'by' => 'By',
    'cause' => 'Because of',
    'why' => ['request' => 'a request', 'retention' => 'the academy’s own rules of how long things are held'],
    'gone' => 'What has gone',
    'counts' => [
        'nothing' => 'There was nothing to erase.',
        'swings' => '{1} One swing: trace, points, what was measured and what the ball did.|[2,*] :count swings: '
            .'traces, '
            .'points, what was measured and what the ball did.',
        'films' => '{1} One film, with its pictures and copies.|[2,*] :count films, with their pictures and copies.',
        'papers' => '{1} The scan of one form.|[2,*] The scans of :count forms.',
        'imports' => '{1} One file on its way in.|[2,*] :count files on their way in.',
        'left' => '{1} Of one swing the place stays in rounds that had read it, of nobody in particular.|[2,*] Of '
            .':count '
            .'swings the places stay in rounds that had read them, of nobody in particular.',
    ],
    'stays' => 'What stays: what staff said of swings in rounds, a key’s labels, counts and published figures, '
        .'marked as '
        .'made from inputs that were erased. None of it tells whose the swings were.',
    'backups' => '{0} No backup that is kept here holds it; copies that were taken elsewhere do.|{1} One backup holds it until it rotates out, made on :days.|[2,*] '
        .':count backups hold it until they rotate out, made on: :days.',
    'houses' => 'Archives of the whole academy hold it as well, made on: :days. Whoever keeps one erases it there, or '
        .'destroys the archive.',
    'erase-golfer' => 'Erase this golfer',
    'erase-says' => 'On the golfer’s request: films, traces, pictures, forms, consents, limits and the name go '
        .'for good. '
        .'What was read stays as counts of nobody in particular. There is no way back.',
    'erase-typed' => 'Type “:name” to say that you mean it',
    'erase-do' => 'Erase for good',
];
