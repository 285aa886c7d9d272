<?php

// A panel's consensus.
return [
    'look' => 'The curve that contradicts it, and the film at the moment',
    'moment' => ':view, at :station',
    'set-right' => '{1} The facts of one of its swings were set right since this key was frozen; it keeps what it '
        .'used.|'
        .'[2,*] The facts of :count of its swings were set right since this key was frozen; it keeps what it used.',
    'page' => 'Panel',
    'no-study' => 'The spread of calls, the consensus and its grades appear here when a panel study has been closed.',
    'waits' => 'A part of the key waits for you',
    'waits-says' => 'Swings that you have still to read blind are not shown, nor any count that would tell of them.',
    'being-made' => 'The key is being made',
    'title' => 'The panel agrees on :agreed of :of questions, and the measurement bears out :verified of them',
    'members' => ':n members, each alone and blind',
    'label' => 'a label needs :share % of those who could tell, :able of them at least',
    'key' => 'key version :version',
    'frozen' => ', frozen :date',
    'erased' => 'Inputs erased :date: what was worked out before stands, and is not worked out again.',
    'decide' => 'Where a person must decide',
    'in' => 'in',
    'spread' => ['present' => ':n present', 'absent' => ':n absent', 'cannot-tell' => ':n cannot tell'],
    'ruled' => 'Ruled :ruling on :date: “:reason”',
    'rulings' => ['none' => 'left out of scoring', 'present' => 'present', 'absent' => 'absent'],
    'ruling' => 'Ruling',
    'choices' => [
        'none' => 'leave out of scoring',
        'present' => 'present, as the panel says',
        'absent' => 'absent',
    ],
    'reason' => 'The reason, for those who must defend it',
    'rule' => 'Rule',
    'frozen-says' => 'This version is frozen by a round. A ruling makes a new version; rounds already opened '
        .'keep the one '
        .'they were opened with.',
    'every' => 'Every case and fault',
    'every-says' => 'How many of :n said present.',
    'legend' => [
        'present' => 'label present',
        'absent' => 'label absent',
        'none' => 'no label or conflict',
        'dashed' => 'a dashed edge: the measurement cannot bear it out.',
    ],
    'recording' => 'Recording',
    'decisions' => [
        'nav' => 'More that was or must be decided',
        'earlier' => 'Back',
        'later' => 'More',
        'at' => ':from to :to of :of',
    ],
    'cases' => ['nav' => 'More cases', 'earlier' => 'Back', 'later' => 'More', 'at' => ':from to :to of :of cases'],
    'reason-too-short' => 'Give the reason in at least ten characters: others will have to defend it.',
    'advice' => [
        'title' => 'First causes, and what to do',
        'says' => 'In bold what has its majority: every cause named by a majority of the members or left out by '
            .'one. What has none is told with how many named it; nobody is scored by it. Misses are the mean '
            .'likelihood.',
        'parts' => [
            'causes' => 'First causes',
            'chain' => 'Leads to',
            'priority' => 'First to work on',
            'misses' => 'Misses',
            'sound' => 'To be kept',
            'drills' => 'Drills',
        ],
        'none' => 'none',
        'other' => 'something else: “:words”',
        'link' => ':from → :to',
        'of' => ':n of :of',
        'holds' => 'the change holds',
        'break-untold' => 'where it breaks cannot be told',
        'breaks' => 'the change breaks at swing :swing',
        'would' => [
            'helps' => 'helps',
            'uncertain' => 'uncertain',
            'harms' => 'does harm',
            'unsafe' => 'unsafe',
        ],
        'rungs' => [
            'rehearsal' => 'rehearsal',
            'short-iron' => 'short iron',
            'longer-clubs' => 'longer clubs',
            'full-speed' => 'full speed',
        ],
        'median' => ':median (:n)',
        'few' => 'judged by fewer than five: agreement only, nobody is scored by it',
        'drills' => 'What drills would do',
        'drills-say' => 'The median of scores from 1 to 9 and in brackets how many gave one, on each rung: 7 and more '
            .'helps, 3 and less does harm, between them or where members are far apart it is uncertain. Unsafe is '
            .'what two members call so or what a golfer’s limit that is not cleared speaks against. A word in '
            .'brackets: fewer than five judged it, and nobody is scored by it.',
        'by-limit' => 'not cleared for this golfer',
        'before' => 'The sheets of this study could not yet say causes outside the feet, misses or what is sound.',
    ],
    'second' => 'if members differ in how often they err: :p % likely there',
    'effect' => ':round: of :of who could tell :present called it present and :absent absent. Ruled so, so many are '
        .'right; left out, none is scored. The round keeps the version it was scored by.',
    'versions' => [
        'page' => 'Versions of a key',
        'link' => 'versions',
        'only' => 'There is one version of this key',
        'title' => '{0} Nothing differs between versions :from and :to|{1} One line differs between versions :from and '
            .':to|[2,*] :count lines differ between versions :from and :to',
        'one' => 'version :n of :day',
        'frozen' => ', frozen',
        'from' => 'Earlier',
        'to' => 'Later',
        'go' => 'Compare',
        'what' => 'What',
        'was' => 'Version :n',
        'is' => 'Version :n',
        'nothing' => 'does not say',
        'labels' => ['present' => 'label present', 'absent' => 'label absent', 'none' => 'no label'],
        'verdict' => 'measured: :verdict',
        'ruled' => 'ruled :ruling',
        'unruled' => 'not ruled',
        'votes' => ['present' => ':n present', 'absent' => ':n absent', 'cannot_tell' => ':n cannot tell'],
        'judged' => '{0} no drill judged|{1} one drill judged|[2,*] :count drills judged',
        'rounds' => 'What the later version would make of published rounds',
        'round' => ':round was scored by version :used: :was % of :wasn calls right. By version :now it would be '
            .':is % of :isn.',
        'keeps' => 'A round keeps the version it was opened with; nothing published changes.',
        'more' => '{1} And one line more.|[2,*] And :count lines more.',
    ],
    'lenses' => [
        'nav' => 'Lens',
        'own' => ':lens (asked)',
        'one' => ':lens',
        'side' => 'Under :lens: :says',
        'differ' => 'lenses differ',
        'list' => '{1} Where the lenses differ, in words: once|[2,*] Where the lenses differ, in words: :count times',
        'row' => ':fault, :swing',
        'says' => 'What the panel called is the same under every lens; how it is measured, and so its grade, is not. '
            .'A round is scored by the key of its lens.',
    ],
    'judging' => [
        'head' => 'Drills for case :n of :of',
        'about' => ':panel: nobody sees yet what anybody else said',
        'questions' => 'Drills in question',
        'says' => 'How appropriate is each drill for this golfer, with these limits, taken so far? 1 is not at all, 9 '
            .'wholly; 3 or less says what it would do. Asked are drills that somebody chose and drills that load what '
            .'this golfer is to spare. Leave a rung empty where you cannot say.',
        'yours' => 'your choice',
        'for' => 'For :for.',
        'not' => ':Not.',
        'lens' => 'Not used under this study’s lens: :why.',
        'refused' => 'That is not cleared by a professional: whatever is said here, choosing it counts as unsafe.',
        'scale' => 'Appropriate, 1 to 9, on each rung',
        'harm' => ':Rung: it would',
        'harms' => ['adds-fault' => 'add a fault', 'unsafe' => 'be unsafe'],
        'open' => 'Have the panel judge drills',
        'open-says' => '{1} One drill was chosen or loads what a golfer is to spare. The panel can judge it now, '
            .'before it sees how its calls are spread; later it cannot.|[2,*] :count drills, each for its case, were '
            .'chosen or load what a golfer is to spare. The panel can judge them now, before it sees how its calls '
            .'are spread; later it cannot.',
        'under-way' => 'The panel is judging drills: :done of :of members have said something of every drill.',
        'close' => 'Close the judging of drills',
        'held' => 'Drills: :members members judged :drills, each for its case, before any spread was shown.',
        'waits' => '{1} One drill of “:panel” waits for your judgement|[2,*] :count drills of “:panel” wait for your '
            .'judgement',
    ],
    'following' => [
        'name' => ':panel, following round :n',
        'head' => 'Case :n of :of without a majority',
        'about' => ':round: you see what the others said, not who, and neither numbers nor a key',
        'swing' => 'The swing',
        'cases' => 'Cases',
        'before' => 'Case before',
        'next' => 'Next case',
        'end' => 'Back to Today',
        'questions' => 'What lacks a majority',
        'says' => 'Keep your call or change it, and say where the difference from the others lies. A change wants a '
            .'reason, which the others may read in a further round. Who does not answer is taken to stand by the call.',
        'own' => 'You said',
        'spread' => 'all of the panel:',
        'pin' => ':on :t s',
        'now' => 'Now',
        'lies' => 'The difference lies in',
        'in' => [
            'seeing' => 'seeing',
            'definition' => 'what the fault means',
            'school' => 'what one was taught',
            'evidence' => 'what was shown',
        ],
        'reason' => 'Why, in a line',
        'save' => 'Save',
        'again' => 'Save again',
        'answered' => 'saved; it can be changed while the round is open',
        'failed' => 'Not saved: the server did not answer. What you wrote still stands here; try again.',
        'nothing' => 'Nothing of that round is asked of you.',
        'open' => 'Open a following round',
        'open-says' => '{1} One question lacks a majority. A following round puts it before the panel once more: each '
            .'sees the own call and the anonymous spread, and keeps or changes it.|[2,*] :count questions lack a '
            .'majority. A following round puts them before the panel once more: each sees the own call and the '
            .'anonymous spread, and keeps or changes it.',
        'settled' => 'The panel has settled: :share % of its answers or more stayed as they were. What lacks a majority is '
            .'contested.',
        'under-way' => 'A following round is open: :done of :of members have answered all that is asked of them.',
        'close' => 'Close the following round',
        'held' => 'Following rounds: :answers answers, :moved changed (:stable % stayed). The difference was seen in '
            .':lies.',
        'lie' => ':where :n×',
        'waits' => '{1} One question of “:round” waits for you|[2,*] :count questions of “:round” wait for you',
        'go' => 'Go over them',
        'moved' => 'following round: :moved of :n changed their call',
    ],
];
