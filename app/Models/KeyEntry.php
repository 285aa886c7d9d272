<?php

declare(strict_types=1);

namespace App\Models;

use Core\Codebook\Judgement;
use Core\Codebook\Verdict;
use Core\Consensus\Consensus;
use Core\Consensus\Grade;
use Core\Consensus\KeyEntry as CoreKeyEntry;
use Core\Consensus\Label;
use Core\Format\Json\JudgementJson;
use Core\Motion\Station;
use Core\Remark\Remark;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOneThrough;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property int $key_version_id
 * @property int $case_id
 * @property string $fault
 * @property string $label
 * @property string $grade
 * @property int $present
 * @property int $absent
 * @property int $cannot_tell
 * @property ?float $severity
 * @property ?string $onset
 * @property string $verdict
 * @property ?float $margin
 * @property ?float $second  how likely it is there if members differ in how often they err
 * @property ?array<string, mixed> $judgement
 * @property ?string $worded_then  what was said of it before there were codes
 * @property ?string $ruling
 * @property ?string $ruling_reason
 * @property ?Carbon $ruled_at
 * @property KeyVersion $keyVersion
 * @property RatedCase $case
 * @property Recording $recording
 */
final class KeyEntry extends Row
{
    public $timestamps = false;

    protected $guarded = ['id'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'severity' => 'float', 'margin' => 'float', 'second' => 'float', 'judgement' => 'array',
            'ruled_at' => 'datetime',
        ];
    }

    /** What the measurements say, as it was found when the key was made. */
    public function measured(): Judgement
    {
        return $this->judgement !== null
            ? JudgementJson::read($this->judgement)
            : new Judgement(
                Verdict::from($this->verdict),
                $this->margin,
                Remark::wordedThen((string) $this->worded_then),
            );
    }

    public function toCore(): CoreKeyEntry
    {
        $said = new Consensus(
            Label::from($this->label),
            $this->present,
            $this->absent,
            $this->cannot_tell,
            $this->severity,
            $this->onset === null ? null : Station::from($this->onset),
        );

        return new CoreKeyEntry($this->fault, $said, $this->measured(), Grade::from($this->grade));
    }

    /** @return BelongsTo<KeyVersion, $this> */
    public function keyVersion(): BelongsTo
    {
        return $this->belongsTo(KeyVersion::class);
    }

    /** @return BelongsTo<RatedCase, $this> */
    public function case(): BelongsTo
    {
        return $this->belongsTo(RatedCase::class, 'case_id');
    }

    /** @return HasOneThrough<Recording, CaseSwing, $this> the case's first swing: what it is called by */
    public function recording(): HasOneThrough
    {
        /** @var HasOneThrough<Recording, CaseSwing, $this> */
        return $this->hasOneThrough(
            Recording::class,
            CaseSwing::class,
            'case_id',
            'id',
            'case_id',
            'recording_id',
        )->where('case_swings.position', 1);
    }

    /** Whether something beside the panel's calls settles it: a measurement that agrees, or a ruling. */
    public function isVerified(): bool
    {
        return $this->ruling !== null || $this->grade === Grade::Verified->value;
    }

    /** The label raters are scored against: the ruling where there is one; null where nobody is scored. */
    public function scoredLabel(): ?string
    {
        return self::labelScored($this->label, $this->grade, $this->ruling);
    }

    public static function labelScored(string $label, string $grade, ?string $ruling): ?string
    {
        $says = $ruling ?? $label;

        return $says !== 'none' && Grade::from($grade)->isScored($ruling !== null) ? $says : null;
    }
}
