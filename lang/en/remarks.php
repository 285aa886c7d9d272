<?php

// What results say of themselves, by the codes of Core\Remark\RemarkCode. Flaws, grounds and clauses are read aloud
// after one
// another; the rest are parts of sentences.
return [
    'worded-then' => ':words',

    // Core\Measurement\Lack: why a measure has no value.
    'lack' => [
        'not-measured' => 'not measured here',
        'no-trace' => 'no pressure or force was recorded',
        'no-force' => 'no force was recorded',
        'mat-knows-no-force' => 'a pressure mat knows shares, not newtons',
        'mat-knows-no-direction' => 'a pressure mat knows how hard, not which way',
        'net-only' => 'a single plate knows the net, not which foot made it',
        'mass' => 'needs the golfer’s mass',
        'stance-for-share' => 'a single plate gives a share only with the positions of both feet',
        'stance' => 'needs the positions of both feet',
        'feet-places' => 'needs where the feet stood',
        'foot-cop' => 'needs a centre of pressure of each foot and where the feet stood',
        'stations' => 'the time of station :stations is not known',
        'tempo' => 'needs the times of address, top and impact',
        'not-covered' => 'the recording does not cover the stations it needs, or samples are missing there',
        'starts-too-late' => 'the recording starts too late to see the set-up',
        'ends-too-early' => 'the recording ends before 50 ms after impact',
        'not-followed' => 'neither the share nor the chest can be followed from lead arm level to impact',
        'not-let-go' => 'the trail foot was not let go before lead arm level',
        'unloaded-at-top' => 'the trail foot carried next to nothing at the top',
        'no-push-back' => 'the trail foot did not push back, so there is nothing to compare with',
        'heel-never-left' => 'the lead heel never left the ground',
        'norms' => 'needs the academy’s own distribution of all three, from at least :least swings',
        'no-points' => 'no body points were recorded',
        'points' => 'the body points it needs are not among those recorded',
        'hips' => 'needs both hips as 3-D points or in face-on film',
        'shoulders' => 'needs both shoulders as 3-D points or in face-on film',
        'heels' => 'needs both heels as body points',
        'trail-foot' => 'needs the heel and the ball of the trail foot as body points',
        'lead-foot' => 'needs the heel and the ball of the lead foot, or the flare given with the stance',
        'trail-foot-left' => 'the trail foot had been left by impact',
        'trail-heel-stays-down' => 'the trail heel had not risen 1.5 cm by impact',
        'too-short-a-way' => 'it went less than 2 cm, which has no direction',
        'both-views' => 'needs 3-D points, or both film views on one clock',
        'lead-leg' => 'needs hip, knee and ankle of the lead leg as body points',
        'lead-hip' => 'needs the lead hip as a 3-D point or in down-the-line film',
        'film-has-no-depth' => 'face-on film has no depth',
        'film-not-along-target' => 'down-the-line film cannot show a move along the target line',
        'film-no-knee-gap' => 'film cannot show the gap between the knees of a turned body; 3-D points can',
    ],

    // Core\Measurement\Bound: what a censored value is known of.
    'bound' => [
        'recentred-from-the-start' => 'earlier than takeaway: the lead side never held less than half',
        'never-recentred' => 'later than impact: half the pressure never came back before the ball',
        'trail-heel-down' => 'later than impact: the trail heel had not risen 1.5 cm',
        'lead-heel-up' => 'later than impact: the lead heel was still up',
        'pressure-was-there' => 'earlier than lead arm level: the lead side never held less than half from there on',
        'knee-bending' => 'later than impact: the lead knee was still bending',
    ],

    // Core\Measurement\Proxy: what stands in for something seen only indirectly.
    'proxy' => [
        'net-cop' => 'the net centre of pressure, corrected for the stance',
        'apparent-width' => 'the apparent width in face-on film',
        'apparent-shoulders' => 'the apparent width of the shoulders in face-on film',
        'trail-foot-outline' => 'the outline of the trail foot in face-on film',
        'feet-outline' => 'the outline of the feet given with the stance',
        'tilt-on-film' => 'the height difference in face-on film of a turned body',
        'hip-on-film' => 'the height of the hip in film',
        'bend-face-on' => 'the bend seen in face-on film',
        'bend-down-the-line' => 'the bend seen in down-the-line film',
        'stated' => ':words',
        'slow-trace' => 'a timing at only :rate_hz samples a second',
        'any' => 'a proxy',
    ],

    // Core\Trace\Flaw: what is wrong with a recording.
    'flaw' => [
        'saturated' => ':channels is at the end of its range from :from_s to :to_s s: what went beyond it is lost.',
        'stuck' => ':channels stands still from :from_s to :to_s s: the channel or its clock had stopped.',
        'gap' => ':channels lacks :length_ms ms from :from_s s on.',
        'single-samples' => ':channels lacks :count single samples.',
        'uneven-clock' => 'The clock of the device is uneven: samples come up to :off_ms ms off their time. They were '
            .'laid on an even grid.',
        'cop-leaps' => ':channel leaps at :at_s s with nothing in the trace to answer it: the mat or its cover '
            .'slipped, or was knocked.',
        'twist-bursts' => ':channel bursts at :at_s s with nothing in the forces to answer it: the cover of the plate '
            .'slipped.',
        'foot-off' => 'The share jumps at :at_s s faster than a golfer can move: a foot left the edge of the device.',
        'places-exchanged' => 'Lead and trail look exchanged: the centre of pressure called lead lies farther from '
            .'the target than the one called trail. Check the handedness and the mapping of the plates.',
        'shares-exchanged' => 'Lead and trail look exchanged: the centre of pressure moves away from the target when '
            .'the lead share rises. Check the handedness and the mapping of the plates.',
        'shift-exchanged' => 'Lead and trail look exchanged: the fastest shift runs away from the target and the '
            .'swing ends there. Check the handedness and the mapping of the plates.',
        'force-in-kilograms' => 'Standing force is :standing, which is a mass in kg and not a force in newtons: the '
            .'force columns are in the wrong unit.',
        'cop-in-metres' => 'The centre of pressure never leaves one and a half millimetres: its columns are in '
            .'metres, not in millimetres.',
        'mass-does-not-fit' => 'Standing force is :standing_percent % of the stated body mass: the mass, the units or '
            .'the zero of the plate are wrong.',
        'push-at-rest' => 'Standing still, the golfer is pushed sideways by :x_percent % of body weight along the '
            .'target line and :y_percent % from heel to toe, which nobody is: the zero of the plate is off.',
        'twist-at-rest' => 'Standing still, the golfer is twisted by :per_kg N·m/kg, which nobody is: the zero of the '
            .'plate is off.',
        'push-without-foot' => ':channel shows :percent % of body weight while no foot is on its plate: its zero is '
            .'off.',
        'cop-in-centimetres' => 'A whole shift from foot to foot moves the centre of pressure by :shift_mm mm only: '
            .'its columns are in centimetres, not in millimetres, or the stance is not the one stated.',
        'origin-elsewhere' => 'Standing, the pressure lies :x_mm mm toward the target and :y_mm mm toward the toes '
            .'from the middle between the feet, where no foot is: the origin is not the stance’s.',
        'outside-sole' => 'The pressure of the :foot foot lies outside its sole for :percent % of the time: the '
            .'places, the stance or the plates’ mapping are wrong.',
        'shares-do-not-add-up' => 'The shares of the two feet add up to :sum %: one side reads too little or too much.',
        'shares-are-parts' => 'The shares are parts of one, not per cent.',
        'hum' => 'The force hums at :hz a second, by :percent % of body weight: the mains are in the signal.',
        'heel-and-toe-perhaps' => 'Heel and toe may be exchanged: the feet oppose each other the wrong way, or the '
            .'trail foot ends on its heel. Check which way y points in the file.',
        'heel-and-toe-exchanged' => 'Heel and toe are exchanged: the feet oppose each other the wrong way, and the '
            .'trail foot ends on its heel. y points to the heels in this file.',
        'time-in-milliseconds' => 'The recording would last :duration_s s: its times are in milliseconds, not in '
            .'seconds.',
        'cop-stays' => ':channel leaps by :step_mm mm at :at_s s and stays there: the mat, its cover or the foot has '
            .'moved, and places before and after cannot be compared.',
        'bends-at-its-end' => ':channels trembles far less near its largest values, from :from_s to :to_s s: it bends '
            .'before the end of its range, and what went beyond is lost.',
        'weight-lacks' => 'On average :percent % of body weight lacks between standing before and after: a part '
            .'of a foot stood beside the plate, or its zero has wandered.',
        'weight-too-much' => 'On average there is :percent % more than body weight between standing before and '
            .'after: the plate’s zero has wandered, or it touches something.',
        'share-steps' => 'The share steps by :step_percent % at :at_s s and stays there, faster than a body shifts: a '
            .'part of a foot went off the edge, or came back.',
        'stretch-lost' => 'At :at_s s everything leaps on at once, under both feet, while the clock runs evenly: '
            .'samples were lost there and not marked, nobody knows how many, and no moment can be trusted. Take it '
            .'from the device again.',
        'no-swing' => 'No swing at a ball was found in it: nobody loads and shifts, or the club never comes through.',
        'several-swings' => 'It holds :count swings (about :times s): cut them apart, or mark the stations of the one '
            .'that is meant.',
        'comes-down-slowly' => 'From top to impact it takes :down_ms ms, slower than any swing at a ball: a rehearsal '
            .'is told as one, or the stations are not where they should be.',
        'goes-back-slowly' => 'From address to top it takes :back_s s, slower than any swing at a ball: a rehearsal is '
            .'told as one, or the stations are not where they should be.',
        'slow-rate' => ':rate_hz samples a second are too few for timings in a downswing of a quarter second.',
    ],

    // Core\Motion\Doubt: why the time found of a station is not to be trusted.
    'doubt' => [
        'out-of-order' => 'it would stand before the station that precedes it, and was left out',
        'not-found' => 'it was not found',
        'odd-downswing' => 'a downswing of :down_ms ms is unusual',
        'odd-backswing' => 'a backswing of :back_s s is unusual: the club may have moved before, or never have been '
            .'still',
        'filmed-along-the-line' => 'film along the target line shows the first move and the top poorly',
        'never-still' => 'the club was never still before it moved',
        'rests-at-the-top' => 'the shaft rests at the top for :rest_ms ms; the top is when it goes down',
        'club-not-seen' => 'the club is not seen around the top, for :gap_ms ms',
        'comes-to-rest-slowly' => 'club and pelvis come to rest so slowly that its moment is a matter of taste',
        'lowest-point' => 'it was taken from the lowest point of the club head',
        'from-the-trace-alone' => 'it was proposed from the trace alone',
    ],

    // Core\Codebook\Ground: what a verdict came from.
    'ground' => [
        'supported' => ':Fault is supported: :rule.',
        'contradicted' => ':Fault is contradicted: :rule.',
        'leans-supported' => ':Fault leans to supported: :rule.',
        'leans-contradicted' => ':Fault leans to contradicted: :rule.',
        'in-margin' => ':Fault lies in the margin: :rule; contradicted only when :unless.',
        'supported-by-proxy' => ':Fault is supported by a proxy (:proxy): :rule.',
        'contradicted-by-proxy' => ':Fault is contradicted by a proxy (:proxy): :rule.',
        'leans-supported-by-proxy' => ':Fault leans to supported by a proxy (:proxy): :rule.',
        'leans-contradicted-by-proxy' => ':Fault leans to contradicted by a proxy (:proxy): :rule.',
        'in-margin-by-proxy' => ':Fault lies in the margin by a proxy (:proxy): :rule; contradicted only when :unless.',
        'undecided' => ':Fault cannot be decided here: :rule.',
        'not-judged' => ':Fault is not judged: :why.',
        'hint-only' => ':Fault is only hinted at by :proxy: undecided.',
        'pitch-force' => 'the forces of a pitch say nothing of it',
        'rehearsal' => 'a rehearsal is not judged by full-swing rules',
        'no-swing' => 'no swing was found in the recording',
        'several-swings' => 'it is not said which of several swings is meant',
        'too-slow' => 'it is slower than any swing at a ball',
        'exaggerating-drill' => 'a drill that exaggerates on purpose is not judged by full-swing rules',
        'not-seen' => ':Fault cannot be seen with what is held (:evidence).',
        'most-swings' => ':agreeing of :held measured swings: :swing',
        'split-swings' => 'Of :held measured swings :speaking speak for it and :against against.',
        'before-and-after' => 'Before and after: :swing',
        'before' => 'Before: :swing',
        'after' => 'After: :swing',
        'neither-before-nor-after' => 'Neither before nor after: :swing',
    ],

    // Core\Codebook\Clause: the parts of a rule. ':at' is empty for a measure of the whole swing.
    'clause' => [
        'all' => ':parts',
        'any' => ':parts',
        'first' => ':parts',
        'asked' => ':measure:at :op :threshold',
        'found' => ':measure:at :value ± :uncertainty (rule: :op :threshold)',
        'found-word' => ':measure:at :word (rule: :op :threshold)',
        'found-bound' => ':measure:at :bound (rule: :op :threshold)',
        'not-found' => ':measure:at is not measurable (:why)',
        'value' => ':measure:at :value',
    ],

    // Core\Codebook\Defect: why a codebook cannot hold yet.
    'defect' => [
        'band-supports' => 'Under :lens, values that lie inside their bands support “:name”: :parts.',
        'both' => 'Under :lens, “:name” is supported and contradicted at once: :parts.',
        'never-supported' => 'Under :lens, no value can support “:name”.',
        'never-denied' => 'Under :lens, no value can contradict “:name”.',
        'helps-and-harms' => '“:drill” both helps with “:name” and makes it worse.',
        'no-drill' => '“:name” names a drill “:drill” that the codebook does not have.',
        'helped-by-warning' => '“:drill” is kept as a warning, and is said to help with “:name”.',
        'no-plan' => 'The drill “:drill” does not say how it is prescribed.',
        'no-variant' => 'The drill “:drill” has neither a variant nor a refusal under :lens.',
        'provokes-nothing' => 'The phrase “:cue” is said to provoke “:key”, which is no fault of the codebook.',
    ],

    // Core\Agreement\Study\Proposal: what to do with a fault's definition.
    'proposal' => [
        'holds' => 'It holds: when one says present, any other who could tell joins in :agreed_percent %.',
        'sharpen' => 'Sharpen it: when one says present, others join in :agreed_percent %, and the panel leaves '
            .':contested_percent % of its cases contested.',
        'practise' => 'Practise it: the panel calls it alike (:contested_percent % contested), the staff do not: when '
            .'one says present, others join in :agreed_percent %.',
        'draw-the-line' => 'Draw the line to “:other_name”: it was called, and is not there, in :together of :missed '
            .'readings that missed this one, and in :otherwise of :others that did not.',
        'split-by-evidence' => 'Split it by evidence: on :device_name :untold_percent % could not tell, on :other_name '
            .':told_percent %.',
        'drop' => 'Think of dropping it: of :cases settled cases it is there in :at_most_percent % at most.',
        'not-yet' => 'Not to be said yet, from :cases cases of panels and what the rounds hold.',
    ],

    // Core\Training\Reason: why a question is asked next.
    'next' => [
        'weak' => 'You may be right about “:fault_name” as seldom as :low_percent times in a hundred.',
        'due' => '“:fault_name” was last asked :days days ago.',
        'fresh' => '“:fault_name” has hardly been asked yet.',
        'confused' => '“:other_name” is what you call where “:fault_name” is meant.',
        'kept' => 'All stands well; “:fault_name” keeps it so.',
    ],

    // Core\Agreement\Undefined: why a figure is undefined.
    'undefined' => [
        'not-finite' => 'the arithmetic gives no finite number here',
        'no-pairs' => 'fewer than two ratings on every case',
        'no-pairs-of-category' => 'no case with two ratings has this category',
        'one-category' => 'only one category occurs, so chance cannot be told from agreement',
        'one-category-only' => 'only one category occurs',
        'all-ratings-same' => 'every rating is the same, so the chance term is 1',
        'one-value' => 'only one value occurs, so chance cannot be told from agreement',
        'pairable-same' => 'every pairable rating is the same, so no disagreement is to be expected',
        'no-disagreement' => 'no disagreement is to be expected by chance',
        'too-many-values' => 'more than :most values to compare with one another',
        'incomplete' => 'needs every rater to have rated every case',
        'one-case' => 'needs two cases or more',
        'no-variance' => 'all values are the same, so there is no variance to share out',
        'no-variance-to-share' => 'the mean squares leave no variance to share out',
        'not-for-scale' => 'is for categories; this scale is :scale',
        'no-case-by-both' => 'no case rated by both',
        'few-cases-by-both' => 'fewer than two cases rated by both',
        'same-category-throughout' => 'both used one and the same category throughout, so the chance term is 1',
        'no-pair-defined' => 'no pair of raters has a defined kappa',
        'no-pair-with-rater' => 'no pair with this rater has a defined kappa',
        'nobody-to-compare-with' => 'nobody to compare with',
        'nobody-called-present' => 'nobody called it present',
        'nothing-twice' => 'nothing was rated twice',
        'not-measured-by-both' => 'no case was measured by both',
        'few-measured-by-both' => 'fewer than two cases were measured by both',
        'same-values' => 'all values are the same',
        'no-positive' => 'the key has no positive among the cases rated',
        'no-negative' => 'the key has no negative among the cases rated',
        'none-called-positive' => 'nothing was called positive',
        'none-called-negative' => 'nothing was called negative',
        'one-sided-key' => 'needs positives and negatives in the key',
        'empty-margin' => 'a row or column of the table is empty',
        'no-confidence' => 'no confidence was stated',
        'such-case-never' => 'no such case',
        'never-there' => 'never there',
        'always-there' => 'always there',
        'sets-same' => 'every set is the same, so no disagreement is to be expected',
        'few-to-rank' => 'needs two judges and two things to rank',
        'few-things-to-rank' => 'needs two things to rank',
        'all-tied' => 'every judge ties everything',
        'one-ties' => 'one ties everything',
        'nothing-to-compare' => 'there is no case to compare',
        'undefined-in-one' => 'undefined in one of the two',
        'few-cases-in-one' => 'too few cases in one of the two',
        'few-readers' => 'needs two readers and two cases that all of them marked',
        'few-readers-for-others' => 'fewer than four readers say nothing of other readers',
        'undefined-without-reader' => 'undefined without one of the readers',
        'no-error-of-its-own' => 'has no error of its own to start from',
        'few-questions' => 'needs :least questions that the panel and this reader answered; there are :questions',
        'in-no-item' => 'defined in none of the single faults',
        'nothing-scored' => 'no case of this that the key settles',
        'nobody-differs' => 'all agree on everything, so how readers differ cannot be told',
    ],

    // Core\Agreement\Caution: what a figure says of how far it may be trusted.
    'caution' => [
        'few-clusters' => 'the cases come from few golfers: they count as :clusters, and below 15 the interval is '
            .'rough',
        'different-cases' => 'different cases: difficulty and change cannot be told apart',
        'practice-and-memory' => 'without readers who were not debriefed, debrief, practice and memory cannot be told '
            .'apart',
        'few-readers' => 'only :readers readers: below eight a figure for others like them is rough',
    ],

    // Core\Agreement\Study\Limitation: what a round cannot say.
    'limitation' => [
        'few-readers' => 'With :readers readers little can be said of others like them; the intervals that speak of '
            .'other readers are rough, or there are none.',
        'few-golfers' => 'The swings come from :golfers golfers. Swings of one golfer are alike, so that the intervals '
            .'are rough.',
        'small-panel' => 'The key was made by a panel of :members: what so few agree on may be agreed on by chance.',
        'hardest-left-out' => ':entries of :of questions have no answer, since the panel did not reach a majority. '
            .'They are the hardest ones: figures against the key would be lower with them.',
        'conflicts' => 'In :entries questions the panel and the measurement contradict each other and nobody has ruled; '
            .'they are not scored.',
        'not-shown' => ':entries questions could not be told from what was shown and are not scored.',
        'exposed' => ':readings readings were left out, since their readers had been shown the answer before.',
        'missing' => ':missing of :dealt readings were not handed in. Nothing is put in their place: if the hardest '
            .'swings or the weakest readers are missing, the figures flatter.',
        'cannot-tell' => ':percent % of all calls were “cannot tell”. They are left out of the main figures; what '
            .'they were hidden for is not known.',
        'no-repeats' => 'No swing was shown twice: whether a reader would say the same again is not known.',
        'few-repeats' => 'Only :cases swings were shown twice: what is said of readers and themselves is rough.',
        'remembered' => 'Swings were shown again without a wait: readers may have remembered what they said.',
        'thin-faults' => 'Of :thin of :faults faults too few swings tell anything; their figures stand in grey and '
            .'should not be acted on.',
        'one-way-shown' => 'Every swing was shown in the same way, so whether film or trace helps is not known.',
        'no-key' => 'There is no key: agreement says how far readers say the same, not whether they are right.',
    ],

    // Core\Reading\Obstacle: what stands in the way of handing a sheet in.
    'obstacle' => [
        'no-call' => ':Fault has no call.',
        'no-severity' => ':Fault is called present without a severity.',
        'no-trend' => ':Fault is not yet said to be better, the same or worse.',
        'no-turf' => ':Fault has a pin on turf that does not say what the mark is.',
        'no-break' => 'Where the change breaks on the ladder is missing.',
        'which-outside' => 'A cause is “not in the feet”: say which.',
        'other-in-words' => 'Another cause outside the feet needs a few words.',
        'cause-not-present' => 'A first cause must be a fault called present, or lie outside the feet.',
        'cause-missing' => 'A first cause is missing.',
        'chain-not-present' => ':Fault stands in the chain but is not called present.',
        'stop-missing' => 'How far to take the drill is missing.',
        'cue-long' => 'The cue has more than eight words.',
    ],

    // Core\Trace\ClockDoubt: what a person should know of a live device’s clock.
    'device-clock' => [
        'slow' => 'The device’s clock is :by slow; only its ticks are used.',
        'fast' => 'The device’s clock is :by fast; only its ticks are used.',
        'more-samples' => 'It sends :rate_hz samples a second, :stray_percent % more than it states: timings would be '
            .'off by as much.',
        'fewer-samples' => 'It sends :rate_hz samples a second, :stray_percent % fewer than it states: timings would '
            .'be off by as much.',
        'days' => ':n days',
        'hours' => ':n hours',
        'minutes' => ':n minutes',
        'seconds' => ':n seconds',
    ],

    // Core\Format\Assumed: what was assumed where a file does not say it.
    'assumed' => [
        'lead-is-nearer' => 'The plate nearer the target was taken for the lead foot.',
        'clock-over-rate' => 'The side-car says :stated_hz samples a second, the file’s own times :clock_hz: its '
            .'times were '
            .'believed. If they are wrong, every time and rate is.',
        'errors-stated' => 'What the device is off by is taken as stated with the file: :source.',
        'mass-unknown' => 'The mass is not known: nobody stands still at the start.',
        'mass-standing' => 'The mass, :mass kg, was taken from the first 0.3 s.',
        'feet-from-points' => 'The feet were taken from heel and toe points at the start.',
        'feet-from-pressure' => 'The feet were taken to stand where each pressed at the start; their lengths are '
            .'assumed.',
        'events-out-of-order' => 'The marked events (:labels) stand in no order that a swing has, and were left out.',
        'mass-stated' => 'The mass, :mass kg, is the one that the file states.',
        'feet-unknown' => 'Where the feet stood is not known: a single plate and no heel and toe points. The origin '
            .'is where it was pressed at the start.',
    ],

    // Core\Planning\Shortage: what the cases at hand cannot give to a set.
    'shortage' => [
        'present' => ':fault: present in :found of :wanted wanted',
        'absent' => ':fault: absent in :found of :wanted wanted',
        'repeats' => 'repeats need :between other cases between, and new ones among them: :cases cases leave room '
            .'for :room',
    ],

    // What stands between and for the parameters.
    'between' => [
        'all' => ' and ',
        'any' => ' or ',
        'first' => ', where that is not known ',
        'names' => ' and ',
        'at' => ' at :station',
    ],
    'op' => ['<' => '<', '<=' => '≤', '>' => '>', '>=' => '≥', 'is' => 'is', 'not' => 'is not'],
    'channels' => ['all' => 'The recording', 'many' => ':count channels'],
    'evidence' => [
        'none' => 'nothing',
        'one' => ':one only',
        'points' => '3-D points',
        'film' => 'film',
        'face-on' => 'face-on film',
        'down-the-line' => 'down-the-line film',
    ],
];
