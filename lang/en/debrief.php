<?php

// The debrief of a published round.
return [
    'no-film' => 'Its film is not shown: the golfer has not agreed to that before a room.',
    'page' => 'Debrief',
    'head' => 'Debrief – :round',
    'no-round' => 'When a staff round has been published, its cases stand here in the order of what there is to talk '
        .'about.',
    'waits' => 'This debrief waits. A swing of it stands in a round of yours that is not published yet.',
    'no-case' => 'No case of this round can be shown: none was read, or the consents have ended.',
    'swing' => 'The swing',
    'place' => ':place of :of',
    'about' => ':hand · was shown: :shown · :readings',
    'hands' => ['right' => 'right-handed', 'left' => 'left-handed'],
    'readings' => '{1} one reading|[0,*] :count readings',
    'cases' => 'Cases',
    'before' => 'before',
    'next' => 'next case',
    'said' => 'What was said',
    'shown' => 'Shown',
    'names' => 'names',
    'whose-drawings' => 'Whose drawings are shown',
    'no-drawings' => 'no drawings',
    'keys' => 'keys',
    'trend' => 'after is :trend',
    'key' => 'what the key says',
    'said-so' => ':said of :of said so',
    'not-scored' => 'No answer that is scored:',
    'key-silent' => 'The key does not speak of this recording.',
    'ruled' => 'Ruled: “:reason”',
    'times' => [
        'title' => 'Top and impact, as each marked them',
        'TP' => '{1} Top: one mark|[2,*] Top: :count marks over :ms',
        'IM' => '{1} Impact: one mark|[2,*] Impact: :count marks over :ms',
        'against' => ', against :at s here:',
    ],
    'case' => 'case',
    'causes' => 'First cause, and the one thing to say',
    'no-cause' => 'no first cause',
    'order' => 'All cases, the most to talk about first',
    'nothing-apart' => 'nothing apart',
    'rounds' => 'Rounds:',
    'legend' => 'Under the ribbon: filled marks stand on the film, hollow ones on the trace; the bar is where somebody '
        .'says it begins.',
    'how' => 'The order is ours: for each fault the mean of the share of pairs who differ and the share who differ '
        .'from the key, times the share who could tell; added up over the faults. It is no measure of agreement.',
    // What the script says.
    'script' => [
        'drawn-by' => 'drawn by :who',
        'on' => ['film' => 'on film', 'trace' => 'on trace', 'mark' => 'mark'],
        'no-marks' => 'Nobody put a mark to this.',
        'marks-are' => 'Marks under the ribbon. :marks',
        'begins' => 'begins at :station',
        'mark-at' => ':who, :on at :t s',
        'hidden-again' => 'hidden again',
    ],
];
