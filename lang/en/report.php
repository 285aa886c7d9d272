<?php

// A round's report, the board's page, and where they are asked for.
return [
    'page' => 'Report',
    'index' => 'Reports',
    'none' => 'Reports, the board’s page and letters of a round appear here once it is published.',
    'waits' => 'waits: you are still to read one of its swings blind',
    'of' => 'Report',
    'of-says' => 'methods, figures and limits, for who must be able to check them',
    'for-board' => 'The board’s page',
    'for-board-says' => 'one page, nobody named',
    'letters' => 'Letters',
    'files' => 'Figures and calls as files',
    'title' => '{1} Agreement of one instructor on footwork faults in :cases|[2,*] Agreement of :count instructors on '
        .'footwork faults in :cases',
    'cases' => '{1} one case|[2,*] :count cases',
    'about' => ':round, published :day',
    'guideline' => 'In the order of the guideline for reporting reliability and agreement studies (Kottner and others, '
        .'J Clin Epidemiol 2011; 64: 96–106). The small number at each heading is the item of it that is answered '
        .'there.',
    'item' => '{1} item :items|[2,*] items :items',
    'between' => ':value (:low–:high)',
    'reader' => 'Reader :number',
    'or' => ' or ',
    'summary' => 'In short',
    'abstract' => [
        'asked' => ':readers instructors called :faults footwork faults in :cases recorded cases of :golfers golfers, '
            .'each alone and blind to one another, to the measurement and to the ball.',
        'agree' => 'When one of them called a fault present, another did too in :present of the cases; Krippendorff’s α '
            .'was :alpha.',
        'key' => 'Beside a panel’s key the middle reader found :found % of what was there (from :found-low to '
            .':found-high %) and called absent :right % of what was not (from :right-low to :right-high %).',
        'nothing' => 'Nothing was called often enough to say how far they agree.',
    ],
    'heads' => [
        'purpose' => 'What was asked, and why',
        'instrument' => 'What was rated, and with what',
        'swings' => 'The swings and their golfers',
        'readers' => 'The readers',
        'size' => 'How many, and why so many',
        'process' => 'How it was read',
        'key' => 'The key',
        'analysis' => 'How it was worked out',
        'held' => 'What came of it',
        'overall' => 'How far the readers agree',
        'faults' => 'Fault by fault',
        'against-key' => 'Beside the key',
        'self' => 'The same reader again',
        'shown' => 'Film, trace, or both',
        'advice' => 'From what is seen to what is done',
        'limits' => 'What this cannot say',
        'meaning' => 'What it means here',
        'sources' => 'To work it out again',
        'checklist' => 'The guideline, item by item',
    ],
    'unsaid' => 'Not stated.',
    'instrument' => [
        'sheet' => 'For each case a sheet asks of :faults faults whether they are present, absent, or cannot be told, '
            .'with how sure one is; of those present also severity, onset and place, then first causes, chain, what '
            .'to do, and the miss to be expected.',
        'codebook' => 'Faults are defined by version :version of the academy’s codebook, under its lens “:lens”.',
        'shown' => 'Shown were: :shown.',
        'devices' => 'Traces were recorded with: :devices.',
    ],
    'shown' => ['crossed' => 'film, trace or both by turns', 'both' => 'film and trace', 'film' => 'film only',
        'trace' => 'trace only'],
    'kinds' => ['single' => 'single swings', 'series' => 'series', 'pair' => 'pairs', 'ladder' => 'ladders'],
    'swings' => [
        'are' => ':cases – :kinds – showing :swings swings of :golfers golfers.',
        'chosen' => 'The head coach chose them from recordings of golfers who agreed to the training of staff; they '
            .'are not a random sample of the academy’s lessons.',
        'reserved' => ':n of them are kept back for later rounds and were not debriefed.',
    ],
    'handed' => [
        'are' => 'Golfers by hand: :what.',
        'few' => 'By hand they are too few to be told apart.',
        'right' => 'right', 'left' => 'left',
    ],
    'ages' => [
        'are' => 'Golfers by age: :what.',
        'few' => 'By age they are too few to be told apart.',
        'minor' => 'under 18', 'young' => '18–39', 'middle' => '40–59', 'older' => '60 and over',
        'unknown' => 'not noted',
    ],
    'readers' => [
        'are' => '{0} Nobody read.|{1} One instructor of the academy read.|[2,*] :count instructors of the academy '
            .'read. They are its staff, not a sample of any other.',
    ],
    'size' => [
        'width' => 'With :readers readers and :cases cases of a fault that is there in :share % of them, and two '
            .'readers who say the same in :agreement % of calls, the interval of AC1 was to be expected :width wide '
            .'for one fault; over all faults together it is narrower.',
        'unknown' => 'No width was worked out beforehand.',
    ],
    'process' => [
        'order' => 'Each reader had the cases in an order of their own, drawn from seed :seed.',
        'blind' => 'Readers saw no golfer’s name or history, no ball flight and no measured value, and neither the '
            .'key nor anybody else’s calls before the round was published.',
        'reveals' => 'After each blind sheet the case was shown again with the ball and the numbers; what was said '
            .'then is not in these figures.',
        'once' => 'No case was read twice.',
        'later' => ':cases cases were read a second time, unannounced, at least :days days later.',
        'within' => ':cases cases were read a second time, unannounced, within the same sitting.',
        'alone' => 'Everybody read alone, at a time of their own.',
    ],
    'key' => [
        'none' => 'There is no key.',
        'made' => 'A panel of :members called every case blind; version :version of its key holds what a majority of '
            .'those who could tell said.',
        'rounds' => '{0} There was no second round.|{1} What lacked a majority was asked once more, with everybody’s '
            .'reasons.|[2,*] What lacked a majority was asked :count times more, with everybody’s reasons.',
        'grades' => 'Its questions by grade: :grades.',
        'measured' => 'A measurement with its uncertainty stands beside each label; where the two contradict each '
            .'other nobody is scored until the head coach has ruled. Whoever made the key is not scored by it.',
    ],
    'analysis' => [
        'coefficients' => 'Specific agreement on “present” and “absent”, Krippendorff’s α, Gwet’s AC1 and plain '
            .'agreement, over all faults pooled and for each; sensitivity and specificity of each reader beside the '
            .'key.',
        'intervals' => 'Intervals are of 95 %. They take the swings of one golfer together (a jackknife over golfers, '
            .'from fifty golfers on :resamples resamples, seed :seed). They speak of these readers; where others like '
            .'them are meant it is said.',
        'missing' => '“Cannot tell” and sheets not handed in are missing: nothing is put in their place. In a second '
            .'analysis “cannot tell” is an answer of its own (see the files).',
        'against' => 'What was not to be seen in what a reader was shown is not scored.',
        'many' => 'Figures of single faults are many at once and not adjusted: differences between them are '
            .'exploratory.',
    ],
    'held' => [
        'readings' => ':handed of :dealt sheets were handed in, by :readers readers, with :calls calls.',
        'abstained' => ':n calls were “cannot tell”.',
        'left' => 'Of :of questions of the key, not scored: :contested without a majority, :conflict contradicted by '
            .'the measurement and not ruled on, :unseen not to be seen in what was shown; :exposed readings of who '
            .'had been shown the answer.',
    ],
    'overall' => [
        'present' => 'When one says “present”, another does',
        'absent' => 'When one says “absent”, another does',
        'krippendorff_alpha' => 'Krippendorff’s α',
        'gwet_ac1' => 'Gwet’s AC1',
        'percent_agreement' => 'Same call',
    ],
    'table' => [
        'what' => 'Figure',
        'these' => 'These readers',
        'like' => 'Others like them',
        'reader' => 'Reader',
        'n' => 'Calls scored',
        'found' => 'Found, of what is there',
        'right' => 'Absent, of what is not',
    ],
    'figure-faults' => 'Agreement on “present” by fault',
    'figure-faults-says' => 'Each fault’s share with its 95 % interval; the same figures stand in the table below.',
    'figure-key' => 'Each reader beside the key',
    'figure-key-says' => 'Diamonds: found, of what is there. Discs: called absent, of what is not. The same figures '
        .'stand in the table below.',
    'few-readers' => 'With fewer than five readers nobody’s figures are shown singly.',
    'by-number' => 'Readers are numbered in the order of what they found. A number is nobody’s in another report.',
    'self' => [
        'none' => 'No case was read twice.',
        'few' => ':cases cases were read twice, by too few readers to tell them together.',
        'same' => 'Over :cases cases read twice the middle reader said the same again in :same % of calls (from '
            .':same-low to :same-high %).',
    ],
    'advice' => [
        'among' => 'Between readers',
        'none' => 'The sheets of this round did not ask it in a way that can be counted.',
        'causes' => 'The middle reader’s first causes overlap with the panel’s by :share % (from :share-low to '
            .':share-high %).',
        'chain' => 'The chain overlaps by :share % (:share-low to :share-high %).',
        'priority' => 'The same priority in :share % (:share-low to :share-high %).',
        'decision' => 'The same decision – now, later, leave – in :share % (:share-low to :share-high %).',
        'helps' => 'Of drills the panel judged, the middle reader’s would help in :share % (:share-low to '
            .':share-high %),',
        'harms' => 'do harm in :share % (:share-low to :share-high %),',
        'unsafe' => 'and be unsafe for that golfer in :share % (:share-low to :share-high %).',
    ],
    'academy-only' => 'These are the readers, swings and definitions of one academy. Of others this says nothing.',
    'estimate' => 'The key is a panel’s estimate. A reader who differs from it is not thereby wrong.',
    'sources' => [
        'inputs' => 'Inputs, SHA-256',
        'core' => 'Version that worked it out',
        'seed' => 'Seed of resamples',
        'order' => 'Seed of the orders',
        'codebook' => 'Codebook, version',
        'key' => 'Key, version and inputs',
        'export' => 'Files of all calls and figures',
        'no-export' => 'not written yet; they are written from the Agreement page',
        'computed' => 'Computed',
    ],
    'sources-says' => 'The files hold every call by reader number, the key and every figure; the command '
        .'agreement:compute gives the same digits from them. They name nobody, yet a reader may know their own calls: '
        .'they are for the head coach to hand on.',
    'in-title' => 'the title',
    'checklist' => ['number' => 'Item', 'says' => 'What it asks for', 'in' => 'Answered under'],
    'items' => [
        1 => 'named as a study of agreement',
        2 => 'what is measured, and with what',
        3 => 'of whom',
        4 => 'by whom',
        5 => 'what is known, and why it was held',
        6 => 'how many readers, cases, repeats, and why',
        7 => 'how they were chosen',
        8 => 'how it was rated: order, wait, what was known, blinding',
        9 => 'whether each rated alone',
        10 => 'the statistics',
        11 => 'how many there were in the end',
        12 => 'what readers and subjects are like',
        13 => 'estimates with their uncertainty',
        14 => 'what it means in practice',
        15 => 'the details',
    ],
    'write' => [
        'title' => 'Your words in it',
        'says' => 'Three things no figure knows. Name no student and no instructor: a report leaves the academy.',
        'purpose' => 'Why was this round held, and what was known before?',
        'readers' => 'What training and experience do the readers have?',
        'meaning' => 'What follows from it here?',
        'keep' => 'Keep',
    ],
    'print' => 'Print',
    'board' => [
        'page' => 'For the board',
        'title' => ':round: do our instructors see the same?',
        'what' => 'For the round published on :day, :readers instructors looked at the same :cases recorded cases, each '
            .'alone, and said which of :faults footwork faults they saw.',
        'few' => 'Fewer than five instructors took part. Figures of so few would be figures of single people, so none '
            .'are given here.',
        'present' => 'of the time, when one instructor calls a fault, a colleague looking at the same swing calls it '
            .'too',
        'middle' => ':value % (:value-lower–:value-upper %)',
        'sensitivity' => 'of what a panel of senior coaches saw, the middle instructor saw; in brackets, the middle '
            .'half of them',
        'specificity' => 'of what the panel did not see, the middle instructor did not call either',
        'best' => 'Surely seen alike',
        'worst' => 'Surely not yet seen alike',
        'none' => 'Of no fault can that be said.',
        'rare' => 'These go together: in this round a fault was there in :share % of what was asked, so that a few '
            .'calls too many by each, and not by all at the same place, weigh heavily among all calls of “present”.',
        'fault' => ':fault: :present',
        'drills' => 'Of the exercises chosen that the panel judged, the middle instructor’s would help in :helps %; '
            .':unsafe % are unsafe for that golfer.',
        'decided' => 'What was decided',
        'more' => 'and :n more',
        'undecided' => 'Nothing has been decided yet.',
        'open' => 'open',
        'due' => 'until :day',
        'done' => 'done :day',
        'meaning' => 'What it means here',
        'limits' => 'What this cannot say',
        'unsure' => 'Of :unsure of :all faults it cannot be said whether colleagues see them alike more often than '
            .'not.',
        'brackets' => 'Where nothing else is said, numbers in brackets are ranges: the truth lies within them nineteen '
            .'times in twenty, as far as so few swings can tell.',
        'one' => 'It is one academy’s staff and one panel’s judgement: whether students get better is another '
            .'question, and not answered here.',
    ],
];
