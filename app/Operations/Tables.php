<?php

declare(strict_types=1);

namespace App\Operations;

/**
 * Every table's place: what of it is kept from who still reads blind, what becomes of it when a golfer is erased, and
 * whether an archive of the whole academy carries it. A backup is the whole database and holds them all; those of a
 * moment only are left out of it, and links and letters that let somebody in do not move to another machine. A
 * test fails for a table that is not here.
 */
final readonly class Tables
{
    /** Nothing in it tells of a swing. */
    public const OPEN = 'open';

    /** What it holds of a swing is kept from readers by Core\Sight. */
    public const HIDDEN = 'hidden';

    /** Nobody's rows but their owner's. */
    public const OWN = 'own';

    /** The golfer's rows go. */
    public const GOES = 'goes';

    /** The rows stay, emptied of what was measured, filmed or named. */
    public const EMPTIED = 'emptied';

    /** The rows stay: of nobody in particular. */
    public const STAYS = 'stays';

    /** There is nothing of a golfer in it. */
    public const NONE = 'none';

    /** What was personal in it can no longer be read: its key goes. */
    public const SEALED = 'sealed';

    /** What lies under the application's key: it is laid under another's when an archive takes it elsewhere. */
    public const SECRET = ['debrief_sessions' => ['secret'], 'subject_keys' => ['held'], 'users' => ['factor_secret']];

    /** By table: blinding, erasure, archive (whether one carries it), backup. */
    public const PLACES = [
        'academies' => [self::OPEN, self::NONE, true, true],
        'account_links' => [self::OWN, self::NONE, false, true],
        'audit_entries' => [self::HIDDEN, self::SEALED, true, true],
        'audit_seals' => [self::OPEN, self::NONE, false, true],
        'cache' => [self::OPEN, self::NONE, false, false],
        'cache_locks' => [self::OPEN, self::NONE, false, false],
        'calls' => [self::HIDDEN, self::STAYS, true, true],
        'capture_chunks' => [self::HIDDEN, self::GOES, true, true],
        'capture_sessions' => [self::HIDDEN, self::NONE, true, true],
        'case_swings' => [self::HIDDEN, self::STAYS, true, true],
        'cases' => [self::HIDDEN, self::STAYS, true, true],
        'caught_swings' => [self::HIDDEN, self::EMPTIED, true, true],
        'check_looks' => [self::HIDDEN, self::STAYS, true, true],
        'check_plans' => [self::HIDDEN, self::STAYS, true, true],
        'checks' => [self::HIDDEN, self::STAYS, true, true],
        'codebook_drafts' => [self::OPEN, self::NONE, true, true],
        'codebook_examples' => [self::HIDDEN, self::GOES, true, true],
        'codebook_flips' => [self::HIDDEN, self::GOES, true, true],
        'codebook_versions' => [self::OPEN, self::NONE, true, true],
        'column_maps' => [self::OPEN, self::NONE, true, true],
        'consent_papers' => [self::OPEN, self::GOES, true, true],
        'consents' => [self::OPEN, self::GOES, true, true],
        'contrast_sets' => [self::OPEN, self::NONE, true, true],
        'contrast_swings' => [self::OPEN, self::NONE, true, true],
        'debrief_cases' => [self::HIDDEN, self::STAYS, true, true],
        'debrief_decisions' => [self::OPEN, self::NONE, true, true],
        'debrief_people' => [self::OPEN, self::NONE, true, true],
        'debrief_questions' => [self::HIDDEN, self::STAYS, true, true],
        'debrief_sessions' => [self::OPEN, self::NONE, true, true],
        'debrief_votes' => [self::HIDDEN, self::STAYS, true, true],
        'devices' => [self::OPEN, self::NONE, true, true],
        'drill_judgings' => [self::OPEN, self::NONE, true, true],
        'drill_questions' => [self::HIDDEN, self::STAYS, true, true],
        'drill_scores' => [self::HIDDEN, self::STAYS, true, true],
        'erasures' => [self::OPEN, self::STAYS, true, true],
        'exposures' => [self::HIDDEN, self::STAYS, true, true],
        'failed_jobs' => [self::OPEN, self::NONE, false, false],
        'films' => [self::HIDDEN, self::GOES, true, true],
        'follow_up_swings' => [self::HIDDEN, self::GOES, true, true],
        'follow_ups' => [self::HIDDEN, self::GOES, true, true],
        'following_answers' => [self::HIDDEN, self::STAYS, true, true],
        'golfer_limits' => [self::OPEN, self::GOES, true, true],
        'golfers' => [self::OPEN, self::EMPTIED, true, true],
        'group_user' => [self::OPEN, self::NONE, true, true],
        'groups' => [self::OPEN, self::NONE, true, true],
        'imports' => [self::HIDDEN, self::GOES, true, true],
        'jobs' => [self::OPEN, self::NONE, false, false],
        'login_attempts' => [self::OWN, self::NONE, false, true],
        'key_cases' => [self::HIDDEN, self::STAYS, true, true],
        'key_entries' => [self::HIDDEN, self::STAYS, true, true],
        'key_versions' => [self::HIDDEN, self::STAYS, true, true],
        'lesson_balls' => [self::OPEN, self::GOES, true, true],
        'lessons' => [self::OPEN, self::GOES, true, true],
        'made_swings' => [self::OPEN, self::NONE, true, true],
        'measurement_sets' => [self::HIDDEN, self::GOES, true, true],
        'migrations' => [self::OPEN, self::NONE, false, true],
        'motions' => [self::HIDDEN, self::GOES, true, true],
        'norm_snapshots' => [self::OPEN, self::STAYS, true, true],
        'notices' => [self::OPEN, self::GOES, true, true],
        'outbox_letters' => [self::OPEN, self::NONE, false, true],
        'reading_changes' => [self::HIDDEN, self::STAYS, true, true],
        'readings' => [self::HIDDEN, self::STAYS, true, true],
        'practice_answers' => [self::HIDDEN, self::GOES, true, true],
        'practice_calls' => [self::OWN, self::GOES, true, true],
        'practice_sittings' => [self::OWN, self::NONE, true, true],
        'prescriptions' => [self::HIDDEN, self::GOES, true, true],
        'readiness_decisions' => [self::OPEN, self::NONE, true, true],
        'readiness_rules' => [self::OPEN, self::NONE, true, true],
        'readiness_tests' => [self::OPEN, self::NONE, true, true],
        'recordings' => [self::HIDDEN, self::EMPTIED, true, true],
        'renditions' => [self::HIDDEN, self::EMPTIED, true, true],
        'result_parts' => [self::HIDDEN, self::STAYS, true, true],
        'round_reports' => [self::HIDDEN, self::STAYS, true, true],
        'seats' => [self::OPEN, self::NONE, true, true],
        'sessions' => [self::OWN, self::NONE, false, false],
        'sitting_arms' => [self::HIDDEN, self::NONE, true, true],
        'sitting_cases' => [self::HIDDEN, self::STAYS, true, true],
        'sitting_results' => [self::HIDDEN, self::STAYS, true, true],
        'sittings' => [self::OPEN, self::NONE, true, true],
        'station_times' => [self::HIDDEN, self::STAYS, true, true],
        'subject_keys' => [self::HIDDEN, self::GOES, true, true],
        'trace_channels' => [self::HIDDEN, self::GOES, true, true],
        'training_goals' => [self::OWN, self::NONE, true, true],
        'undos' => [self::OWN, self::GOES, false, false],
        'users' => [self::OPEN, self::NONE, true, true],
        'works' => [self::OPEN, self::NONE, false, false],
    ];
}
