<?php

// Why something was refused: what happened, what was kept, what to do.
return [
    'undo' => [
        'over' => 'The minute is over, or it was taken back already. Nothing was changed.',
        'changed' => 'Something has come into its place since, or what it belonged to has gone. Nothing was put back.',
    ],
    // What was kept as a sentence before it was kept as a line.
    'worded-then' => ':words',
    'plans' => [
        'not-here' => ':name is not here any more. Nothing was set.',
        'too-many' => ':most goals stand already. Drop one first; nothing was set.',
        'counted' => 'That is counted from what was done. Nothing was changed.',
    ],
    'prescriptions' => [
        'no-drill' => 'Choose a drill first. Nothing was changed.',
        'no-cue' => 'Say the one thing to think of, then hand it over. The draft is kept.',
        'no-next' => 'Say when you look at it next, then hand it over. The draft is kept.',
        'no-reason' => 'Something speaks against this drill: say in ten characters or more why you choose it all the same. '
            .'The draft is kept.',
        'handed-over' => 'It was handed over, or dropped: it is not changed any more. Begin a new one.',
        'not-handed-over' => 'Only what was handed over is followed up. Nothing was begun.',
        'other-session' => 'That is no later session of the same golfer. Nothing was begun.',
        'feel-first' => 'First what was felt. Nothing was kept.',
    ],
    'academy' => [
        'log-in-waits' => '{1} Too many tries have failed. Try again in a second.|[2,*] Too many tries have failed. Try '
            .'again in :count seconds.',
        'begun-already' => 'The academy has begun already. Log in, or ask its head coach for an invitation.',
        'last-head-coach' => ':name is the only head coach: somebody has to run the academy. Make somebody else head '
            .'coach first. Nothing was changed.',
        'address-taken' => 'Somebody with the address :email is here already. Nothing was changed.',
        'is-here-already' => ':name is here already. Nothing was changed.',
        'is-not-here' => ':name is not here. Nothing was changed.',
        'is-not-disabled' => ':name is not disabled. Nothing was changed.',
        'link-used' => 'This link was used already. Nothing was changed.',
        'code-wrong' => 'That code is not the one that is shown now. Nothing was changed; try the next one.',
        'golfer-is-another' => 'That golfer is somebody else already. Nothing was changed.',
        'group-is-there' => 'There is a group “:name” of this kind already. Nothing was changed.',
        'swings-of-other-hand' => ':golfer has swings that were read as :hand-handed ones. Take up a second golfer '
            .'for the '
            .'other hand. Nothing was changed.',
        'pseudonym-taken' => '“:pseudonym” is a golfer already. Nothing was changed; choose another name.',
        'pseudonym-is-a-name' => '“:pseudonym” is the name of somebody who works here. A pseudonym is '
            .'nobody’s. Nothing '
            .'was changed.',
        'guardian-wanted' => ':golfer is, or may be, a minor: without a guardian there is no consent. Nothing was '
            .'recorded.',
        'changed-meanwhile' => 'Somebody has changed this since you opened it. Nothing of yours was kept over it; '
            .'look at '
            .'it as it is now.',
        'feel-locked' => 'What was felt is locked; it was said before the numbers were seen. Nothing was changed.',
        'ball-is-there' => 'Ball :ball is in the log already. Nothing was changed.',
        'no-paper' => 'That file is no PDF, JPG or PNG. Nothing was recorded.',
        'paper-unreadable' => 'The form’s file is gone, or lies under a key that this application does not have.',
        'no-sample' => 'There is no sample to clear away. Nothing was changed.',
        'other-name' => 'That is not its name, “:name”. Nothing was cleared.',
    ],
    'report' => [
        'changed-meanwhile' => 'Somebody else changed these words meanwhile. Yours stand below, unsaved: compare '
            .'them with what the report says now, then keep again.',
    ],
    'agreement' => [
        'inputs-changed' => 'Something of “:round” was changed while its figures were worked out: publish it '
            .'again. Nothing '
            .'was published.',
        'export-could-not-written' => 'The export could not be written.',
        'export-could-not-finished' => 'The export could not be finished: the disk may be full.',
        'close-before-publishing-nothing' => '\':round\' is :state; close it before publishing. Nothing was changed.',
        'its-key-still-being' => 'Its key is still being made; publish when it is there. Nothing was changed.',
    ],
    'bench' => [
        'is-read' => 'A round shows this swing now; what its readers look at stays as it is until it is published.',
        'outside-recording' => ':t s lies outside the recording; nothing was changed.',
        'nothing-changed' => ':get-message Nothing was changed.',
    ],
    'capture' => [
        'no-device' => 'No device is known by this token, or the token has ended.',
        'other-kind' => 'This token lets its device send as a :device only.',
        'too-many-guesses' => 'Too many wrong tokens came from here. Wait a minute.',
        'missing-channels' => 'A :device sends :channels too.',
        'no-number' => 'Chunk :seq holds something that is no number.',
        'sample-of-other-width' => 'Chunk :seq has a sample of :values values where the session has :channels '
            .'channels.',
        'no-valid-consent-for' => ':golfer has no valid consent for training use; the swing stays here.',
        'swing-on-shelf-already' => 'This swing is on the Shelf already.',
        'capture-closed-open-new' => 'This capture has been closed; open a new one.',
        'chunk-sent-before-with' => 'Chunk :seq was sent before with other samples.',
    ],
    'codebook' => [
        'codebook-over-megabyte-nothing' => 'A codebook of over a megabyte; nothing was stored.',
        'codebook-not-json-nothing' => 'The codebook is not JSON (:what); nothing was stored.',
        'nothing-stored' => ':get-message Nothing was stored.',
        'there-version-already-give' => 'There is a version \':version\' already; give the new one a number '
            .'of its own. Nothing '
            .'was stored.',
        'draft-ended' => 'This draft was published or laid aside meanwhile. Nothing was stored.',
        'draft-moved-on' => ':who changed the draft since this page was fetched. Nothing was stored; look at the draft '
            .'as it is now, then say it again.',
        'draft-behind' => 'Version :version was taken up since this draft was begun. Carry the draft over to it first; '
            .'nothing was published.',
        'draft-not-tried' => 'The draft as it is now was not tried on the recordings. Try it, and look at what turns; '
            .'nothing was published.',
        'draft-other-open' => 'Another draft is open. Lay that one aside first.',
        'example-erased' => 'It is no longer held. Nothing was stored.',
        'example-no-consent' => 'Its golfer does not agree to teaching material. Nothing was stored.',
        'example-kept' => 'It is kept for later rounds, and would be told. Nothing was stored.',
        'example-read' => 'It stands in a round that is not published. Nothing was stored.',
        'row-there' => 'There is one called “:key” already. Nothing was stored.',
        'no-such-row' => 'It is in the draft no longer. Nothing was stored.',
    ],
    'readiness' => [
        'checks-run' => 'Weekly checks run already. Nothing was changed.',
        'check-cases' => 'There are fewer than :least cases of different golfers that no instructor knows. Nothing was started.',
        'rule-old' => 'This rule has a newer version, or is laid down; nothing was changed.',
        'not-asked' => 'That was answered meanwhile; nothing was changed.',
        'who' => 'Only instructors and panel members are tested, and only by a head coach.',
        'own' => 'Nobody tests, signs off or suspends themselves; an appeal is the person’s own.',
        'under-way' => ':name is being tested already; one test at a time.',
        'no-cases' => 'There is no case left that :name has never read nor been told of. Record others, have the '
            .'panel read '
            .'them, and keep them out of rounds.',
        'reason' => 'A decision needs a reason in words: ten letters or more.',
        'not-now' => 'That cannot be decided now: look at where :name stands.',
    ],
    'practice' => [
        'being-made' => 'Swings to practise this on are being made: some seconds. Then begin again.',
        'many-sets' => 'You have asked for :count contrast sets today; what is made is at hand, more can be made '
            .'tomorrow.',
        'nothing' => 'There is nothing to practise on yet: questions come from rounds that were published, and '
            .'nothing that '
            .'waits to be read is asked.',
        'answered' => 'This question was answered before; the first answer counts.',
        'no-answer' => 'That is no answer to this question; nothing was kept.',
    ],
    'house' => [
        'short' => 'A passphrase of fewer than :letters letters keeps nothing. Nothing was written.',
        'passphrase' => 'This passphrase does not open the archive. Nothing was changed.',
        'no-file' => ':path cannot be read.',
        'no-house' => 'This is no archive of a whole academy. Nothing was changed.',
        'other-program' => 'This archive was written by another version of the program (:program). Bring both machines '
            .'to the same version and write it anew. Nothing was changed.',
        'lived-in' => 'There are people or swings here already. A whole academy moves in where nothing is yet: '
            .'bin/start --empty on a fresh machine. Nothing was changed.',
        'tables' => 'The archive’s tables are not those of this program. Nothing was changed.',
        'no-row' => 'Line :line of tables/:table.ndjson is no row of that table. Nothing was changed.',
        'no-place' => 'The archive has a file for “:name”, where no file of an academy belongs. Nothing '
            .'was changed.',
        'spoilt' => ':name is missing in the archive, or is not as it was written. The academy was not taken in.',
    ],
    'operations' => [
        'other-golfer' => 'That is not the golfer’s name, “:golfer”. Nothing was erased.',
        'cannot-written' => ':path cannot be written.',
        'could-not-finished-disk' => ':path could not be finished: the disk may be full.',
        'there-no-room-write' => 'There is no room to write a table.',
        'not-empty' => 'There are people in this database. A backup is laid down only where nobody is yet.',
        'no-archive-library' => ':path is no archive of a library.',
        'golfers-csv-speaks-golfer' => 'golfers.csv speaks of a golfer \':pseudonym\' with handedness '
            .'\':handedness\'; nothing '
            .'was stored.',
        'here-archive-two-people' => ':pseudonym is :handedness-handed here and :handedness-too-handed in the '
            .'archive: two '
            .'people under one name. Nothing was stored.',
        'consents-csv-no-scope' => 'consents.csv has a consent of :pseudonym to \':scope\', which is no use that is '
            .'known; '
            .'nothing was stored.',
        'consents-csv-speaks-whom' => 'consents.csv speaks of :pseudonym, whom golfers.csv does not know; nothing was '
            .'stored.',
        'consents-csv-consent-whose' => 'consents.csv has a consent of :pseudonym whose dates make no span; '
            .'nothing was '
            .'stored.',
        'its-golfer-not-golfers' => 'its golfer :pseudonym is not in golfers.csv',
        'no-valid-consent' => ':golfer has no valid consent',
        'archive-no-csv-nothing' => 'The archive has no :table.csv; nothing was stored.',
        'which-no-number-within' => ':name is \':text\', which is no number within its limits',
        'swells' => 'The archive’s entry :name would unpack to hundreds of times its size. Nothing was stored.',
        'too-much' => 'The archive holds more than any academy does. Nothing was stored.',
        'not-archive' => 'it is not in the archive',
        'larger-than-mb' => 'it is larger than 64 MB',
        'film-not-there' => 'its film :file is not in the archive, or is none that is taken',
        'film-gone' => 'its film does not lie where it should',
        'film-spoilt' => 'its film :file is not as it was packed',
    ],
    'debrief' => [
        'cases' => 'Choose one to :most cases that can be shown. Nothing was begun.',
        'over' => 'This debrief is over. Nothing was changed.',
        'own' => 'One of its cases is your own swing: it is looked at in a private review only. You have not joined.',
        'awaited' => 'You still have to read one of its swings blind, or it stands in a round that is not '
            .'published. You have not joined.',
        'barred' => 'Not shown: :who may not see this case now (still to be read blind, or their own swing).',
        'no-question' => 'That cannot be asked of this case: too little was named. Nothing was asked.',
        'vote-open' => 'A vote is open; close it first. Nothing was changed.',
        'vote-closed' => 'This vote is closed; your answer was not counted.',
        'no-answer' => 'That is none of the answers. Nothing was counted.',
        'not-now' => 'Somebody in the room may not see this case now; no vote is taken on it. Nothing was counted.',
        'no-code' => 'No debrief under way has this code.',
        'done-already' => 'That is done already. Nothing was changed.',
    ],
    'panel' => [
        'judging-needs-closed' => ':panel is not a closed panel study; drills are judged after its blind round and '
            .'before it is published. Nothing was changed.',
        'judging-held' => 'The drills of :panel are or were judged. Nothing was changed.',
        'judging-too-late' => 'The panel has already seen how its calls are spread: drills are judged before that. '
            .'Nothing was changed.',
        'judging-nobody' => 'Nobody but the head coach handed in a sheet of :panel; who sees what everybody said does '
            .'not judge drills. Nothing was changed.',
        'judging-nothing' => 'Nobody chose a drill, and no golfer has a limit that a drill loads. Nothing was changed.',
        'judging-open' => 'The panel is judging drills; close that first. Nothing was changed.',
        'judging-not-open' => 'No judging of drills of :panel is open. Nothing was changed.',
        'judging-over' => 'The judging of drills is closed; nothing was changed.',
        'judging-empty' => 'Give at least one rung a score from 1 to 9. Nothing was stored.',
        'judging-harm' => 'A score of 3 or less says whether the drill adds a fault or is unsafe. Nothing was stored.',
        'following-needs-closed' => ':panel is not a closed panel study; a following round comes after its blind round '
            .'and before it is published. Nothing was changed.',
        'following-open' => 'A following round is open; close it first. Nothing was changed.',
        'following-no-key' => 'The key is still being made. Nothing was changed.',
        'following-nothing' => 'Everything has its majority. Nothing was changed.',
        'following-settled' => 'Hardly anybody moved in the last following round: the panel has settled, and '
            .'what still '
            .'lacks a majority is contested. Nothing was changed.',
        'following-enough' => 'So many following rounds were held already (:count): what still lacks a majority is '
            .'contested. Nothing was changed.',
        'following-not-open' => 'No following round of :panel is open. Nothing was changed.',
        'following-over' => 'The following round is closed; nothing was changed.',
        'following-not-asked' => 'That is not asked of you. Nothing was stored.',
        'following-reason' => 'A change wants a reason in a few words. Nothing was stored.',
        'following-severity' => 'What is present wants its severity. Nothing was stored.',
        'ruling-stands' => 'Something has come of this ruling since, so it stands. Rule anew. Nothing was changed.',
        'not-closed-its-key' => '\':panel\' is not closed; its key is made afterwards.',
        'version-key-followed-version' => 'Version :key of this key has been followed by version :newest; '
            .'rule on that one.',
        'panel-does-not-agree' => 'The panel does not agree here: the case stays for discussion and is scored for '
            .'nobody, so there is nothing to rule on.',
    ],
    'shelf' => [
        'facts-changed-meanwhile' => 'Somebody has changed these facts since. Nothing was changed; look at them as '
            .'they '
            .'are now.',
        'interrupted' => 'Interrupted; it is tried again.',
        'no-film' => 'This is not a film: mp4, mov and webm files are taken.',
        'quota' => 'That is more than the :gb GB that one person may bring in on one day. Nothing was stored; tomorrow there '
            .'is room again.',
        'film-too-large' => 'The film has :mb MB; at most :most MB are taken. Cut it to the swing, or film in '
            .'a smaller '
            .'size.',
        'film-not-made-ready' => 'The film could not be made ready in :attempts attempts. The original is '
            .'kept; send it '
            .'again in another format.',
        'these-samples-already-on' => 'These samples are already on the Shelf as recording :public_id; '
            .'nothing was stored a '
            .'second time.',
        'film-not-ready-yet' => 'The film is not ready yet; its clock can be set when it is.',
        'film-would-lie-more' => 'The film would lie more than two minutes from its trace; nothing was changed.',
        'film-not-as-long' => 'The film is not as long as that; nothing was changed.',
        'station-no-time-here' => 'Station :code has no time here; mark it first, or match another moment.',
        'twelve-events-enough-take' => 'Twelve events are enough; take them back to begin again.',
        'these-events-would-make' => 'These events would make the clocks drift apart by more than 2 %: rather '
            .'one of them '
            .'is another moment, or the film is slowed. Nothing was changed.',
        'cannot-read-nothing-stored' => ':name cannot be read; nothing was stored.',
        'says-but-nothing-stored' => 'The :what says :hand-handed, but :golfer is :handedness-handed; nothing '
            .'was stored.',
        'there-already-take-away' => 'There is a :view already; take it away first.',
        'swing-being-made-ready' => 'A :view of this swing is being made ready; wait for it.',
        'not-film-mp-mov' => 'This is not a film: mp4, mov and webm files are taken. Nothing was kept.',
        'part-does-not-belong' => 'This part does not belong to the film that was announced; what came before it is '
            .'kept.',
        'part-leaves-hole' => 'This part begins further on than the film is here; what came before it is kept. Send what '
            .'is between.',
        'part-not-kept' => 'This part could not be kept, as where the disk is full; what came before it is kept.',
        'there-no-film-recording' => 'There is no film of this recording, so there is no second clock.',
        'film-trace-show-nothing' => 'Film and trace show nothing that can be matched for certain; the clocks '
            .'stay as they '
            .'are.',
        'clocks-would-lie-over' => 'The clocks would lie over half a minute apart; nothing was changed.',
        'clocks-would-drift-apart' => 'The clocks would drift apart by more than 2 %: rather the film’s frame '
            .'rate is '
            .'wrong. Nothing was changed.',
        'shows-film-its-readings' => '“:round” shows this film and its readings point into it; it stays.',
    ],
    'sittings' => [
        'reopen' => [
            'not-open' => 'This round is not open; what was handed in stays as it is.',
            'not-handed-in' => 'That reading was not handed in. Nothing was changed.',
            'repeats' => 'Some cases of this round come twice without being announced: an opened sheet would tell. '
                .'Nothing '
                .'was changed.',
            'numbers-seen' => 'Its reader has seen the ball and the numbers since: it would be no blind reading any '
                .'more. '
                .'Nothing was changed.',
        ],
        'kept' => [
            'panel' => 'Only a round of instructors keeps cases for later rounds; nothing was planned.',
            'reveals' => 'A second look shows the ball and the numbers, so that a case kept for later rounds '
                .'could not be '
                .'asked again: leave one of the two out. Nothing was planned.',
            'few' => 'Of these cases :count can be kept for later rounds: recordings read by themselves and not shown '
                .'again. Nothing was planned.',
        ],
        'crossed' => [
            'panel' => 'A panel is shown all there is: only instructors are shown film, trace or both by turns. '
                .'Nothing '
                .'was planned.',
            'cases' => 'Turns want at least :cases cases that have a film and a trace; there are :both. Nothing was '
                .'planned.',
            'readers' => 'Turns want at least :readers people: two of them are to be shown each case in the same way. '
                .'Nothing was planned.',
        ],
        'seat' => [
            'not-open' => '“:round” is not open; nobody was seated.',
            'may-not' => ':name cannot read in this round; nobody was seated.',
            'seated' => ':name has a seat already; nothing was changed.',
            'no-seat' => ':name has no seat in this round; nobody was seated.',
        ],
        'published-as-it-is' => '“:round” is published and stays as it is.',
        'last-case' => 'That is the last case of this round; nothing was changed.',
        'not-draft-nothing-changed' => '\':round\' is :state, not a draft; nothing was changed.',
        'round-needs-at-least' => 'A round needs at least one case and one member before it can be opened.',
        'no-valid-consent-take' => ':golfer has no valid consent; take the recording out of the round first.',
        'recording-erased-take-out' => 'A recording of :golfer was erased; take it out of the round first.',
        'no-key' => [
            'none' => 'No panel study is published under the lens of this round; nothing was opened.',
            'lacks' => 'No published panel study covers every case of this round under its lens; nothing was opened. '
                .'Most of them are in “:study”, which lacks :n: :cases.',
        ],
        'cannot-read-study-nothing' => ':join cannot read in a :kind study. Nothing was stored.',
        'one-these-recordings-not' => 'One of these recordings is not there, or its consent has ended. '
            .'Nothing was stored.',
        'set-apart' => '{1} One swing is set apart for the weekly checks and may be read in no round before they are '
            .'ended: :swings. Nothing was stored.|[2,*] :count swings are set apart for the weekly checks and may be '
            .'read in no round before they are ended: :swings. Nothing was stored.',
        'two-cases-round-same' => 'Two cases of this round are the same. Nothing was stored.',
        'only-recording-round-shown' => 'Only a recording of this round can be shown again in it. Nothing was stored.',
        'together' => [
            'series' => 'A series has three to six swings. Nothing was stored.',
            'pair' => 'A pair has two swings, one before and one after. Nothing was stored.',
            'ladder' => 'A ladder has three to five swings, the first before the change. Nothing was stored.',
            'once' => 'A swing stands in a case once. Nothing was stored.',
            'golfer' => 'The swings of one case are of one golfer. Nothing was stored.',
            'device' => 'The swings of one case come from one class of device. Nothing was stored.',
        ],
        'not-ready' => ':obstacles',
        'repeats' => [
            'later' => '{0} So many cases cannot be shown again without giving themselves away: with :cases cases none '
                .'can be. Nothing was stored.|[1,*] So many cases cannot be shown again without giving themselves '
                .'away: with :cases cases at most :count can be. Nothing was stored.',
            'within' => '{0} So many cases cannot be shown again without giving themselves away: with :cases '
                .'cases none '
                .'can be within one sitting. Nothing was stored.|[1,*] So many cases cannot be shown again without '
                .'giving themselves away: with :cases cases at most :count can be within one sitting. Nothing was '
                .'stored.',
        ],
        'changed-elsewhere' => 'This was changed in another window or on another device meanwhile; that change stands.',
        'reading-handed-locked-nothing' => 'This reading has been handed in and is locked; nothing was changed.',
        'round-closed-nothing-changed' => 'The round is closed; nothing was changed. What was saved before is kept.',
        'not-open-nothing-changed' => '\':round\' is :state, not open; nothing was changed.',
        'nobody-handed-anything-there' => 'Nobody has handed anything in: there is nothing to make a key '
            .'from. The study stays '
            .'open.',
        'round-closed-what-saved' => 'The round is closed; what was saved is kept, but it cannot be handed in '
            .'any more.',
    ],
    'works' => [
        'interrupted' => 'It was interrupted again and again. Nothing was changed; ask for it once more.',
        'went-wrong' => 'Something went wrong inside the program; it was written down. Nothing was changed.',
    ],
];
