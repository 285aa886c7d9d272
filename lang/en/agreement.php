<?php

// A round's agreement.
return [
    'page' => 'Agreement',
    'head' => 'Agreement – :round',
    'none' => 'Figures appear here when a round you belong to has been published. Until then nobody sees anybody’s '
        .'calls.',
    'behind' => [
        'pages' => ['nav' => 'More cases', 'earlier' => 'Back', 'later' => 'More', 'at' => ':from to :to of :of cases'],
        'case' => 'Case',
        'key' => 'Key',
        'panel' => 'The panel',
        'bench' => 'On the Bench',
        'codebook' => 'In the codebook',
        'before' => 'the case before',
        'after' => 'the next case',
        'no-ball' => 'No ball was logged.',
        'wrong' => 'not as the key',
        'right' => 'As the key, of what counts',
        'others' => '{1} One more fault that nobody called and the key does not have|[2,*] :count more faults that '
            .'nobody '
            .'called and the key does not have',
        'says' => 'First readings, as they were handed in. “Cannot tell”, what the key leaves open, and what could not '
            .'be seen from what was shown do not count.',
        'do' => 'What they would do',
        'parts' => [
            'causes' => 'First causes',
            'chain' => 'What leads to what',
            'priority' => 'Work on first',
            'drills' => 'Drill',
            'misses' => 'Misses expected',
            'cue' => 'Cue',
        ],
        'marks' => 'Marks, case by case',
        'pair' => [
            'title' => 'Where two differ',
            'finding' => '{0} :a and :b say the same in all :n calls both made|{1} :a and :b differ in one of :n '
                .'calls both made'
                .'|[2,*] :a and :b differ in :count of :n calls both made',
            'says' => 'First readings of cases both read, without what either could not tell. κ takes off what two '
                .'people '
                .'who guess as often would agree on by chance.',
            'pages' => ['nav' => 'More calls', 'earlier' => 'Back', 'later' => 'More', 'at' => ':from to :to of :of '
                .'calls'],
        ],
        'times' => [
            'says' => 'Milliseconds after the time the recording itself has, earlier where negative; first readings.',
        ],
        'advice' => [
            'title' => 'What :name would do, case by case',
            'says' => 'What was said, below it what the panel settles or how the ball flew, and what it counts: how '
                .'alike the '
                .'sets are, how many answers are the panel’s, what the drill would do, the Brier score of the '
                .'misses. What '
                .'the panel leaves open counts nothing.',
            'of' => ':right of :n',
            'parts' => [
                'causes' => 'First causes',
                'chain' => 'What leads to what',
                'priority' => 'Work on first',
                'decision' => 'Now, later or leave',
                'trend' => 'Better, same, worse',
                'breaks' => 'Where the ladder breaks',
                'drill' => 'Drill',
                'miss' => 'Misses expected',
            ],
            'decision' => ['now' => 'now', 'later' => 'later', 'leave' => 'leave'],
            'trend' => ['better' => 'better', 'same' => 'same', 'worse' => 'worse'],
            'would' => [
                'helps' => 'would help', 'harms' => 'would do harm', 'unsafe' => 'unsafe', 'uncertain' => 'uncertain',
            ],
        ],
        'later' => ['again' => 'when it came back: :said', 'second' => 'with the ball in view: :said'],
        'notes' => [
            'exposed' => 'had been shown the answer',
            'panel' => 'helped to make the key',
            'unsupported' => 'not to be seen in what was shown',
        ],
    ],
    'kept' => 'Some cases of this round are kept for later ones, to tell whether training helps. Figures of the whole '
        .'round stay with the head coach, so that nothing of those cases is told; your letter says how you read, '
        .'without them.',
    'kept-letter' => 'Your letter',
    'waits' => 'These figures wait. A swing they are made from stands in a round of yours that is not published yet; '
        .'until then they would give it away.',
    'no-reading' => 'No reading was handed in in this round',
    'title' => 'The staff agree least on “:fault”',
    'own-title' => 'How your calls stood in the :round',
    'erased' => 'Inputs erased :date: what was worked out before stands, and is not worked out again.',
    'cases' => '{1} one case|[2,*] :count cases',
    'case' => 'Case :n',
    'key' => 'key version :version',
    'ranges' => 'ranges are 95 % intervals',
    'left-out' => 'left out of scoring: :what',
    'debrief' => 'Debrief, case by case',
    'you' => 'you',
    'colleague' => 'a colleague',
    'parts' => [
        'nav' => 'Parts of the agreement',
        'overview' => 'Overview',
        'people' => 'People',
        'faults' => 'Faults',
        'pairs' => 'Pairs',
        'advice' => 'What to do',
        'shown' => 'What was shown',
        'times' => 'Times',
        'calls' => 'Calls that differ',
    ],
    'rounds' => 'Other rounds',
    'tiles' => [
        'specific' => 'another says present when one does',
        'krippendorff_alpha' => 'Krippendorff’s α, beyond chance',
        'gwet_ac1' => 'AC1, beyond chance',
        'percent_agreement' => 'same call by any two',
    ],
    'readers' => [
        'these' => '{1} this reader|[2,*] these :count readers',
        'like' => 'readers like them',
        'means' => '“:these”: how it would be with the same people and other golfers. “Readers like them”: with '
            .'other people '
            .'of the same kind too.',
    ],
    'kappa' => 'Agreement on “present” is the figure to go by: where a fault is rare, people who call at random have '
        .'a high '
        .'AC1, and a low α can hide that they agree. Present against absent; “cannot tell” counts as no answer and '
        .'is shown '
        .'on its own.',
    'since' => [
        'title' => 'Since :round',
        'no-anchors' => 'the two rounds have no case in common: how hard the cases are and how far these :people '
            .'people '
            .'moved cannot be told apart.',
        'over' => 'on the :anchors cases (of :golfers golfers) and with the :people people that both rounds have: '
            .'agreement '
            .'on “present” :first → :second %',
        'undefined' => '(:why).',
        'few' => '– by :by (:low to :high). Too few golfers to say whether that is more than chance.',
        'up' => '– up by :by (:low to :high), p = :p. A true change of :detectable would be found four times in five.',
        'down' => '– down by :by (:low to :high), p = :p. A true change of :detectable would be found four times in '
            .'five.',
        'by-chance' => '– by :by (:low to :high), p = :p. That may be chance: a true change of :detectable would be '
            .'found '
            .'four times in five.',
        'like' => 'Among readers like them: :low to :high.',
        'scale' => 'All :calls scored calls of both rounds on one scale, hard cases and strict people taken out: '
            .':first → :second % right where everything else is middling (a difference of :by, :low to :high). It '
            .'supposes that everybody moved alike.',
        'scale-chance' => 'That may be chance.',
        'scale-misfit' => 'One of the two rounds does not follow the scale well: read it with care.',
        'memory' => 'Without readers who were not debriefed, debrief, practice and memory cannot be told apart.',
    ],
    'advice' => [
        'before' => 'The sheets of this round could not yet say causes outside the feet, misses or what is sound.',
        'alone' => 'One reader alone: there is nobody to agree with',
        'finding' => 'Two colleagues share :share % of the first causes they name between them',
        'says' => ':cases cases, :readers readers. The panel settles the first causes of :causes, the chain of '
            .':chain, what to work on first in :priority, what to do with :decision faults that are there and what '
            .'drills would do on :drill rungs; the rest is told on the panel’s page and nobody is scored by it. '
            .'Ranges are 95 % intervals over golfers.',
        'between' => 'Among the readers',
        'value' => 'agreement',
        'among' => [
            'causes' => ['name' => 'First causes', 'says' => 'α of the sets named, beyond chance; two different causes '
                .'outside the feet never agree'],
            'overlap' => ['name' => 'Common causes', 'says' => 'share of all causes two readers name that both name'],
            'chain' => ['name' => 'What leads to what', 'says' => 'α of the links drawn'],
            'priority' => ['name' => 'What to work on first', 'says' => 'α, beyond chance'],
            'decision' => ['name' => 'Now, later or leave', 'says' => 'α over faults called present by two or more'],
            'drill' => ['name' => 'The drill', 'says' => 'α, beyond chance; no drill is an answer too'],
        ],
        'side-by-side' => 'The sheets behind them, side by side, case by case',
        'beside-title' => 'Beside the panel, and the ball',
        'beside-says' => 'Causes and chain: how alike the sets are, 100 % being the same. Drill: of those chosen that '
            .'the panel judged on that rung, what they would do; the rest is uncertain. Miss: Brier score of the '
            .'likelihoods stated, against the balls that were logged; 0 is best, 2 worst.',
        'beside' => [
            'causes' => 'causes',
            'chain' => 'chain',
            'priority' => 'first to work on',
            'decision' => 'now, later, leave',
            'trend' => 'better, same, worse',
            'breaks' => 'where a ladder breaks',
            'helps' => 'drill would help',
            'harms' => 'drill would do harm',
            'unsafe' => 'drill unsafe',
            'miss' => 'miss, Brier',
        ],
        'cases' => 'cases',
        'caution' => 'A panel’s opinion of what to do is an opinion: drills and cautions defer to the academy’s own '
            .'rules and to licensed professionals.',
    ],
    'forest' => 'Who sees what the panel sees',
    'own-forest' => 'You and your colleagues against the key',
    'forest-says' => 'Sensitivity and specificity of each person with 95 per cent intervals; the figures are in the '
        .'table',
    'sensitivity' => 'sensitivity',
    'specificity' => 'specificity',
    'legend' => [
        'sensitivity' => 'of what the key says is present, the share called present',
        'specificity' => 'of what is absent, the share called absent',
        'how' => 'The pale band behind is where it may lie if the panel erred too, panel and reader independently; it '
            .'takes 200 questions.',
    ],
    'look' => [
        'title' => 'Where to look',
        'faults' => 'Faults people surely agree on least when one says present',
        'people' => 'People furthest from the key, with their sensitivity',
    ],
    'scale' => [
        'people' => 'If all had had the same questions',
        'hardest' => 'The hardest to call right',
        'right' => 'Right',
        'case' => 'Case',
        'odd' => 'calls do not follow the others’',
        'how-people' => 'The share of right calls on a middling case and fault, by a model of readers, cases and '
            .'faults on one '
            .'scale: cases of different difficulty and calls left out do not favour anybody. A third opinion beside '
            .'the figures '
            .'above, with 95 % intervals.',
        'how-questions' => 'The share of right calls of a middling reader, by the same model, with 95 % intervals.',
        'apart' => 'The calls fall into :parts parts that share no reader and no case: across them nothing is '
            .'compared.',
    ],
    'table' => [
        'person' => 'Instructor',
        'n' => 'Calls scored',
        'place' => 'Place',
        'place-hint' => 'With 95 % certainty the place among these people lies here',
        'right' => 'Right',
        'right-hint' => 'Share of right calls, “cannot tell” counted wrong, drawn toward the others as far as it is '
            .'unsure',
        'placed' => 'In the order of right calls, “cannot tell” counted wrong. A place is given as the range in '
            .'which it lies '
            .'with 95 % certainty: people whose ranges overlap are tied, and a line stands only above who can be '
            .'told from all '
            .'before.',
        'sensitivity' => 'Sensitivity',
        'specificity' => 'Specificity',
        'ppv' => 'When “present”, right',
        'leaning' => 'Leaning',
        'mcc' => 'Matthews',
        'rest' => 'With the others',
        'rest-hint' => 'mean of Cohen’s κ with each of the others',
        'brier' => 'Sure and wrong (Brier)',
        'brier-hint' => '0 is best; 0.25 is what a coin with 50 % would get',
        'cannot-tell' => 'Cannot tell',
        'unsupported' => 'Unsupported',
        'unsupported-hint' => 'calls made where what was shown cannot support one',
        'fault' => 'Fault',
        'cases' => 'Cases',
        'same' => 'Same call',
        'present' => 'Agreement on “present”',
        'pair' => 'Pair',
        'common' => 'Calls in common',
        'kappa' => 'Cohen’s κ',
        'pabak' => 'PABAK',
        'shown' => 'Shown',
        'ac1' => 'AC1',
        'compared' => 'Compared',
        'differs' => 'Differs by',
        'figure' => 'Figure',
        'arm-found' => 'Found, of what is there',
        'arm-right' => 'Absent, of what is not',
        'p' => 'p, adjusted',
        'finds' => 'Would find',
        'marks' => 'Marks',
        'late' => 'Late (+) or early, ms',
        'limits' => '95 % of marks, ms',
        'case' => 'Case',
        'own' => 'You',
        'truth' => 'Key',
        'grade' => 'Grade',
        'measured' => 'What the measurement says',
    ],
    'leaning' => ['under' => 'under-calls :by', 'over' => 'over-calls :by', 'even' => 'even :by'],
    'map' => [
        'title' => 'Right calls, person by fault',
        'says' => 'The darker, the more wrong calls. Hold the pointer over a cell for what was missed and what '
            .'over-called. '.
            'With :cases cases one cell is too thin to judge a person by.',
    ],
    'cell' => ':found found, :missed missed, :over over-called, :absent rightly absent',
    'faults' => [
        'title' => 'Fault by fault: does the definition hold?',
        'every' => 'Every coefficient, fault by fault and over all, with the reason where there is none',
        'pooled' => 'over all faults',
        'mean' => 'mean over faults, each as important as any other',
        'three-way' => 'with “cannot tell” as an answer',
        'thin' => 'Grey and slanted: too few cases to say (under ten, or an interval wider than 0.5). Several rows are '
            .'compared at once; differences between them are exploratory.',
    ],
    'coefficients' => [
        'percent_agreement' => 'Same call',
        'gwet_ac1' => 'AC1',
        'fleiss_kappa' => 'Fleiss’ κ',
        'conger_kappa' => 'Conger’s κ',
        'brennan_prediger' => 'Brennan–Prediger',
        'krippendorff_alpha' => 'Krippendorff’s α',
        'light_kappa' => 'Light’s κ',
    ],
    'pairs' => [
        'title' => 'Person by person: Cohen’s κ over all faults',
        'every' => 'Every pair with its interval',
        'colleagues' => 'With each colleague',
    ],
    'pair' => ':a and :b',
    'pair-hint' => ':n calls in common, :same the same, κ :low to :high, PABAK :pabak',
    'arms' => ['both' => 'film and trace', 'film' => 'film only', 'trace' => 'trace only'],
    'less' => ':second less :first',
    'shown' => [
        'one' => 'Every case was shown in the same way',
        'few' => 'Too few cases to say whether what was shown matters',
        'matters' => 'What is shown changes how far people agree',
        'no-difference' => 'What was shown makes no difference that these cases could show',
        'figures' => ['gwet_ac1' => 'AC1', 'sensitivity' => 'found, of what is there',
            'specificity' => 'absent, of what is not'],
        'within' => 'Each case was shown to some readers in one way and to others in another, by turns, so that '
            .'neither '
            .'cases nor readers differ between them. p by exchanging what was shown within golfers, adjusted after '
            .'Holm for the number of comparisons; “would find” is the true difference these cases would show four '
            .'times in five.',
        'one-says' => 'Cases shown in different ways – film and trace, one of them – are compared here.',
        'says' => 'Different cases stand in each, so their difficulty may differ too. p by letting golfers change '
            .'sides, '
            .'adjusted '.
            'after Holm for the number of comparisons; “would find” is the true difference these cases would show '
                .'four '.
            'times in five.',
    ],
    'times' => [
        'none' => 'Nobody marked their own top or impact',
        'none-says' => 'Where people say when a swing’s top or impact is, their times stand here beside the station’s '
            .'own.',
        'marked' => 'Top and impact, as people mark them',
        'finding' => 'One reader places :station within ±:one ms, three within ±:three',
        'against' => ':station, against the station’s time',
        'apart' => 'Over :cases cases that all :readers marked: readers differ from one another by a lasting :between '
            .'ms '.
            '(standard deviation), the rest is :within ms. The mean mark of :mean.',
        'mean-of' => '{1} one reader: ±:ms ms|[2,*] :count readers: ±:ms ms',
    ],
    'calls' => [
        'title' => '{0} No call of yours differs from the key|{1} One call differs from the key|[2,*] :count calls '
            .'differ '.
            'from the key',
        'none' => 'Cases that wait in an open round are not shown.',
        'pages' => ['nav' => 'More calls', 'earlier' => 'Back', 'later' => 'More', 'at' => ':from to :to of :of calls'],
    ],
    'person' => [
        'own' => [
            'not-scored' => 'Your calls are not scored in this round',
            'lean' => [
                'scored' => 'You were scored on :n calls',
                'under' => 'You under-call',
                'over' => 'You over-call',
                'even' => 'You lean to neither side',
            ],
            'sure' => [
                'even' => ':lean, and are as sure as right',
                'surer' => ':lean, and are surer than right',
                'less' => ':lean, and are less sure than right',
            ],
            'file' => 'Your record as a file',
            'called' => 'You',
            'moved' => 'You moved: stretch :which lies beyond what an unchanging reader shows',
            'latent' => 'From the round’s calls alone, not knowing the key, a model of two hidden kinds puts '
                .'your share '
                .'of finding what is there at :hit and of calling present what is not at :alarm.',
            'latent-beside' => 'From the round’s calls alone, not knowing the key, a model of two hidden kinds puts '
                .'your share of finding what is there at :hit and of calling present what is not at :alarm, where the '
                .'key has :sensitivity and :false.',
        ],
        'other' => [
            'not-scored' => ':name’s calls are not scored in this round',
            'lean' => [
                'scored' => ':name was scored on :n calls',
                'under' => ':name under-calls',
                'over' => ':name over-calls',
                'even' => ':name leans to neither side',
            ],
            'sure' => [
                'even' => ':lean, and is as sure as right',
                'surer' => ':lean, and is surer than right',
                'less' => ':lean, and is less sure than right',
            ],
            'file' => 'The record as a file',
            'called' => ':name',
            'moved' => ':name moved: stretch :which lies beyond what an unchanging reader shows',
            'latent' => 'From the round’s calls alone, not knowing the key, a model of two hidden kinds puts :name’s '
                .'share of finding what is there at :hit and of calling present what is not at :alarm.',
            'latent-beside' => 'From the round’s calls alone, not knowing the key, a model of two hidden kinds puts '
                .':name’s share of finding what is there at :hit and of calling present what is not at :alarm, where '
                .'the key has :sensitivity and :false.',
        ],
        'about' => '{0} No call is scored against the key of :round.|{1} One call scored against the key of :round; '
            .'ranges are 95 % intervals over golfers.|[2,*] :count calls scored against the key of :round; ranges '
            .'are 95 % '
            .'intervals over golfers.',
        'unscored' => 'Whoever helped to make a key is not scored against it.',
        'waiting' => 'Cases that wait in an open round of yours are left out.',
        'and' => ' and ',
        'as-table' => 'The same as a table',
        'tiles' => [
            'sensitivity' => 'of what is there, found',
            'specificity' => 'of what is not, called absent',
            'criterion' => 'criterion c; above 0 calls little',
            'brier' => 'Brier score, 0 is best',
        ],
        'cells' => ['Found', 'Missed', 'Over-called', 'Rightly absent'],
        'faults' => [
            'title' => 'Fault by fault',
            'hits' => 'Found, of what is there',
            'right' => 'Absent, of what is not',
            'wrongs' => ':missed missed, :over over-called',
            'missed' => 'missed',
            'over' => 'over-called. One fault has few cases: the intervals say how little that is; grey and slanted is '
                .'too few to say.',
        ],
        'surest' => [
            'title' => 'Right where surest',
            'part' => 'the surest :share',
            'all' => 'all questions',
            'right' => 'Right',
            'others' => 'Colleagues at the same share',
            'own' => 'You answered :answered of :questions questions that could be told. “Cannot tell” counted half '
                .'right you would be at :half: shown, never used to put people in order, since it would pay not to '
                .'answer.',
            'other' => ':answered of :questions questions that could be told were answered. “Cannot tell” counted '
                .'half right, that is :half: shown, never used to put people in order, since it would pay not to '
                .'answer.',
        ],
        'calibrated' => [
            'even' => 'As sure as right',
            'surer' => 'Surer than right by :points points',
            'less' => 'Less sure than right by :points points',
        ],
        'confidence' => [
            'says' => 'How often calls of each stated confidence were right; the figures are in the table below',
            'axes' => 'Beneath: stated confidence. Upward: the share that was right. On the slanted line both are '
                .'the same.',
            'said' => 'Said',
            'calls' => 'Calls',
            'right' => 'Right',
            'share' => 'Share right',
        ],
        'sure' => [
            'title' => '{0} Never sure and wrong|{1} One call sure and wrong|[2,*] :count calls sure and wrong',
            'left' => '{1} One less sure call stands in the file above.|[2,*] :count less sure calls stand in the file '
                .'above.',
            'none' => 'No wrong call was made at :percent % or more.',
            'more' => ':count more',
        ],
        'drift' => [
            'few' => 'Too few golfers to see a drift',
            'needs' => 'At least :count golfers, read by others too, are needed.',
            'none' => 'No drift beyond chance over :count stretches of golfers (p :p)',
            'says' => 'Right calls and calls of present against the others’, stretch by stretch; the figures are in '
                .'the '
                .'table below',
            'axes' => 'Beneath: golfers in the order handed in. Upward: standard errors from the own mean.',
            'present' => 'calls of present',
            'present-up' => '(upward: calls more than the others) and',
            'right' => 'right calls',
            'right-up' => '(upward: more often right than the others)',
            'golfers' => 'Golfers',
            'calls' => 'Calls',
            'how' => 'over :rounds: each call less what the others said of the same question, so that hard cases move '
                .'nobody. The band is set so that one unchanging reader in :one-in has a point outside it anywhere, by '
                .'letting whole golfers change places.',
            'beyond' => 'beyond',
        ],
        'latent' => [
            'title' => 'Without the key',
            'few' => 'A model of the calls alone needs three readers of this round.',
            'one-kind' => 'The calls alone do not part into two kinds; nothing is said from them.',
            'how' => 'Latent classes after Dawid and Skene, over all faults; :converged, :starts of :of starts to the '
                .'same end; it takes :prevalence of the questions to be present. It supposes that readers err '
                .'independently: where they err together it takes the error for the truth. A second opinion, never the '
                .'key.',
            'converged' => 'converged',
            'unfinished' => 'not converged',
        ],
    ],
    'computed' => 'Computed :at by core version :core from inputs :inputs; golfers left out one by one, from fifty on '
        .':resamples resamples of them, seed :seed. Panel members are not scored against their own key.',
    'older' => 'Another version of the program worked these out. They stand until they are worked out anew.',
    'export' => [
        'make' => 'Write the files: ratings, key and every figure as CSV and JSON',
        'take' => 'Take the files: ratings, key and every figure as CSV and JSON (:size)',
    ],
    'cues' => [
        'none' => 'Nobody gave a cue',
        'finding' => '{0} Nothing is known against the words of :cues cues|{1} One of :cues cues has words that '
            .'something '
            .'is known against|[2,*] :count times something is known against the words of :cues cues',
        'says' => 'By the phrases of the codebook the round was read by. Whether a cue is good nobody can say from its '
            .'words; what is known against it can be. Intervals count golfers.',
        'n' => 'Cues', 'words' => 'Words, mean',
        'figures' => ['provokes' => 'Known to provoke', 'unsupported' => 'Not shown', 'long' => 'Over eight words'],
        'phrase' => 'Said', 'times' => 'Times', 'readers' => 'Readers', 'provokes' => 'Tends to cause',
        'unsupported' => 'Not shown',
        'why' => ':why Instead: :instead',
        'case' => 'case :n',
    ],
    'repeats' => [
        'title' => 'Said the same again',
        'n' => 'Calls made twice',
        'same' => 'The same again',
        'kappa' => 'Beyond chance, κ',
        'none' => 'No case came back unannounced in this round: whether anybody would say the same again is not known.',
        'says' => 'Cases that came back unannounced, other cases and where the round says so weeks between. “Cannot '
            .'tell” '
            .'counts as no answer. What was said then stands in the table of each case:',
    ],
    'second' => [
        'finding' => [
            'more' => ':changed of :calls calls changed with the ball and the numbers in view, more of them toward '
                .'the key '
                .'(:toward) than away from it (:away)',
            'fewer' => ':changed of :calls calls changed with the ball and the numbers in view, more of them away '
                .'from the '
                .'key (:away) than toward it (:toward)',
            'even' => ':changed of :calls calls changed with the ball and the numbers in view, :toward toward the '
                .'key and '
                .':away away from it: that they help cannot be said',
        ],
        'calls' => 'Calls made twice',
        'changed' => 'Changed',
        'scored' => 'Settled by the key',
        'toward' => 'Toward it',
        'away' => 'Away from it',
        'gain' => 'More right by',
        'says' => 'First what was called blind, then what the same reader called of the same case with the ball and '
            .'the '
            .'numbers in view. “Cannot tell” counts as not right. What moves toward the key was hidden before; what '
            .'moves '
            .'away was argued back from the ball. Nothing of a second look enters any other figure.',
    ],
    'again' => [
        'title' => 'Asked twice',
        'same' => 'Of :n calls asked again unannounced, :same % were the same (:low to :high).',
        'same-few' => 'Of :n calls asked again unannounced, :same % were the same.',
        'second' => 'With the ball and the numbers in view :changed of :calls calls changed: :toward toward the key, '
            .':away '
            .'away from it.',
        'none' => 'With the ball and the numbers in view none of :calls calls changed.',
    ],
    'groups' => [
        'title' => 'Groups of readers',
        'group' => 'Group', 'readers' => 'Readers in it / others',
        'sensitivity' => 'Finds what is there, mean of its readers', 'specificity' => 'Leaves what is not there, mean',
        'differs' => ':points points against the others, p :p',
        'same' => ':points points against the others: no more than chance among so few, p :p',
        'too-few' => ':points points against the others: with so few readers no difference could be told',
        'how' => 'Readers are counted, not calls: the difference is held against every way in which the same readers '
            .'could '
            .'have been parted into groups of these sizes. Several groups are looked at, so one that differs by '
            .'chance is '
            .'to be expected now and then. Groups of under three are not shown.',
    ],
];
