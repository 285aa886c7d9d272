<?php

declare(strict_types=1);

namespace App\Codebook\Pages;

use App\Codebook\Codebooks;
use App\Models\CodebookDraft;
use App\Models\CodebookFlip;
use App\Models\Enums\WorkKind;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Wording;
use App\Works\Works;
use Core\Codebook\CodebookDocument;
use Core\Codebook\DocumentChange;
use Core\Codebook\DocumentChanges;
use Core\Codebook\DocumentChecks;
use Core\Codebook\DocumentMerge;
use Core\Remark\Remark;

/** The draft as a whole: what is another in it, whether it passes, what it would turn on the Shelf. */
final readonly class DraftPage
{
    public function __construct(
        private Codebooks $codebooks,
        private Onlookers $onlookers,
        private Wording $words,
        private Works $works,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(CodebookDraft $draft, User $user): array
    {
        $document = $draft->codebook();
        $base = $this->codebooks->document($draft->based_on);
        $newest = $this->codebooks->document();
        $changes = DocumentChanges::between($base, $document);
        $defects = DocumentChecks::of($document);
        $isTried = $draft->tried_revision === $draft->revision;

        return [
            'revision' => $draft->revision,
            'version' => $document->version(),
            'basedOn' => $draft->based_on,
            'changed' => (string) __('draft.changed-by', [
                'who' => $draft->changer->name ?? __('draft.nobody'),
                'when' => $draft->updated_at->format('j M Y, H:i'),
            ]),
            'behind' => $newest->version() === $draft->based_on ? null : self::behind($newest, $base, $document),
            'parts' => self::parts($document, $base, $changes),
            'changes' => $this->changes($changes),
            'defects' => array_map($this->words->say(...), $defects),
            'work' => $this->works->underWay(WorkKind::Try, $draft),
            'tried' => $draft->tried_revision === null ? null : $this->tried($draft, $document, $base, $user),
            'isTried' => $isTried,
            'mayPublish' => $changes !== [] && $defects === [] && $isTried && $newest->version() === $draft->based_on,
        ];
    }

    /** @return array{version: string, both: list<string>} */
    private static function behind(CodebookDocument $newest, CodebookDocument $base, CodebookDocument $draft): array
    {
        return [
            'version' => $newest->version(),
            'both' => array_map(
                static fn (array $of): string => self::name($draft, $of[0], $of[1])
                    ?? self::name($newest, $of[0], $of[1])
                    ?? $of[1],
                DocumentMerge::contested($newest, $base, $draft),
            ),
        ];
    }

    /** @param  'faults'|'lenses'|'drills'|'words'|'cues'  $part */
    public static function name(CodebookDocument $document, string $part, string $key): ?string
    {
        $row = $document->whole()[$part][$key] ?? null;
        $said = (array) ($row['said'] ?? []);
        $name = $row['name'] ?? $row['word'] ?? $said[array_key_first($said) ?? 0] ?? null;

        return is_string($name) ? $name : null;
    }

    /**
     * @param  list<DocumentChange>  $changes
     * @return list<array{part: string, name: string, says: string, copies: array<string, string>,
     *     rows: list<array{name: string, url: string, mark: string}>}>
     */
    private static function parts(CodebookDocument $document, CodebookDocument $base, array $changes): array
    {
        $marked = [];
        foreach ($changes as $change) {
            $marked[$change->part][$change->key] = true;
        }
        $out = [];
        foreach (CodebookDocument::PARTS as $part) {
            $rows = $names = [];
            foreach (array_keys($document->whole()[$part]) as $key) {
                $names[(string) $key] = self::name($document, $part, (string) $key) ?? (string) $key;
                $rows[] = [
                    'name' => ucfirst($names[(string) $key]),
                    'url' => route('codebook.draft.edit', [$part, $key]),
                    'mark' => isset($marked[$part][$key])
                        ? (string) __(isset($base->whole()[$part][$key]) ? 'draft.mark.changed' : 'draft.mark.new')
                        : '',
                ];
            }
            $out[] = [
                'part' => $part,
                'name' => (string) __("draft.parts.$part"),
                'says' => (string) __("draft.parts-say.$part"),
                'copies' => $part === 'words' ? self::shippedWords($document) : $names,
                'rows' => $rows,
            ];
        }

        return $out;
    }

    /** @return array<string, string> words of the glossary that this academy has not explained in its own way */
    private static function shippedWords(CodebookDocument $document): array
    {
        /** @var array<string, array{word: string, means: string}> $glossary */
        $glossary = (array) __('glossary');

        return array_diff_key(array_map(static fn (array $w): string => $w['word'], $glossary), $document->words());
    }

    /**
     * @param  list<DocumentChange>  $changes
     * @return list<array{part: string, key: string, name: string, url: ?string,
     *     lines: list<array{what: string, was: string, is: string}>}>
     */
    private function changes(array $changes): array
    {
        $out = [];
        foreach ($changes as $change) {
            $id = "$change->part/$change->key";
            $gone = $change->member === [] && $change->is === null;
            $out[$id] ??= [
                'part' => $change->part,
                'key' => $change->key,
                'name' => ucfirst($change->name),
                'url' => $gone ? null : route('codebook.draft.edit', [$change->part, $change->key]),
                'lines' => [],
            ];
            $out[$id]['lines'][] = [
                'what' => self::member($change),
                'was' => $this->said($change->was),
                'is' => $this->said($change->is),
            ];
        }

        return array_values($out);
    }

    /** What changed within a row, in words where there are some: "by club · wedge · supported when". */
    private static function member(DocumentChange $change): string
    {
        if ($change->member === []) {
            return (string) __($change->was === null ? 'draft.mark.new' : 'draft.mark.gone');
        }
        $words = array_map(static function (string $step): string {
            $line = __("draft.members.$step");

            return is_string($line) && $line !== "draft.members.$step" ? $line : str_replace('_', ' ', $step);
        }, $change->member);

        return implode(' · ', array_filter($words, static fn (string $w): bool => $w !== ''));
    }

    private function said(Remark|string|null $value): string
    {
        return match (true) {
            $value === null => '–',
            $value instanceof Remark => $this->words->said($value),
            default => $value,
        };
    }

    /**
     * What was found, of the swings this person may see.
     *
     * @return array{title: string, left: string, groups: list<array<string, mixed>>}
     */
    private function tried(CodebookDraft $draft, CodebookDocument $document, CodebookDocument $base, User $user): array
    {
        $onlooker = $this->onlookers->of($user);
        $turned = $swings = [];
        foreach ($draft->flips()
            ->whereIn('recording_id', $onlooker->recordings()->select('recordings.id'))
            ->with('recording.golfer')
            ->orderBy('recording_id')
            ->get() as $flip) {
            /** @var CodebookFlip $flip */
            $swings[$flip->recording_id] = true;
            $turned[] = [
                'recording' => $flip->recording, 'lens' => $flip->lens, 'fault' => $flip->fault, 'was' => $flip->was,
                'is' => $flip->is, 'was_margin' => $flip->was_margin, 'is_margin' => $flip->is_margin,
            ];
        }
        $names = [];
        foreach (array_keys($document->whole()['faults'] + $base->whole()['faults']) as $key) {
            $names[(string) $key] = self::name($document, 'faults', $key) ?? self::name($base, 'faults', $key) ?? $key;
        }

        return [
            'title' => trans_choice('draft.flips.title', count($turned), [
                'count' => (string) count($turned),
                'swings' => (string) count($swings),
                'all' => (string) $draft->tried_recordings,
            ]),
            'left' => $onlooker->hidden() === [] ? '' : (string) __('draft.flips.left'),
            'groups' => FlipRows::byFault($turned, $names, $document->lenses() + $base->lenses()),
        ];
    }
}
