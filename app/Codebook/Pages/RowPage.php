<?php

declare(strict_types=1);

namespace App\Codebook\Pages;

use App\Codebook\Codebooks;
use App\Models\CodebookDraft;
use Core\Codebook\CodebookDocument;
use Core\Codebook\Shown;

/**
 * The form of one row of a draft.
 *
 * @phpstan-type Group array{title: string, pairs: bool, fields: list<Field>}
 */
final readonly class RowPage
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    /**
     * @param  'faults'|'lenses'|'drills'|'words'|'cues'  $part
     * @return array<string, mixed>
     */
    public function of(CodebookDraft $draft, string $part, string $key): array
    {
        $document = $draft->codebook();
        $row = $document->whole()[$part][$key] ?? [];

        return [
            'part' => $part,
            'key' => $key,
            'name' => ucfirst(DraftPage::name($document, $part, $key) ?? $key),
            'of' => (string) __("draft.one.$part"),
            'version' => $document->version(),
            'revision' => $draft->revision,
            'isNew' => ! isset($this->codebooks->document($draft->based_on)->whole()[$part][$key]),
            'groups' => match ($part) {
                'faults' => FaultFields::of($document, $key, $row),
                'lenses' => LensFields::of($document, $key, $row),
                'drills' => DrillFields::of($document, $key, $row),
                'words' => [self::group('', [
                    Field::text('word', (string) __('draft.fields.word'), $row['word'] ?? ''),
                    Field::area('means', (string) __('draft.fields.means'), $row['means'] ?? ''),
                ])],
                'cues' => self::cue($document, $row),
            },
            'sights' => $part === 'faults' ? FaultFields::sights($row) : [],
            'rules' => $part === 'faults' ? FaultFields::rules($document, $key) : null,
            'bands' => $part === 'lenses' ? LensFields::bands($row) : null,
        ];
    }

    /**
     * @param  list<Field>  $fields
     * @param  bool  $pairs  each two belong together
     * @return Group
     */
    public static function group(string $title, array $fields, bool $pairs = false): array
    {
        return ['title' => $title, 'pairs' => $pairs, 'fields' => $fields];
    }

    /** @return array<string, string> names of the faults, by key */
    public static function faults(CodebookDocument $document): array
    {
        $out = [];
        foreach (array_keys($document->whole()['faults']) as $key) {
            $out[(string) $key] = DraftPage::name($document, 'faults', (string) $key) ?? (string) $key;
        }

        return $out;
    }

    /** @return array<string, string> what each kind of evidence is called */
    public static function kinds(): array
    {
        $out = [];
        foreach (Shown::KINDS as $kind) {
            $out[$kind] = (string) __("draft.kinds.$kind");
        }

        return $out;
    }

    /**
     * @param  array<string, mixed>  $row
     * @return list<Group>
     */
    private static function cue(CodebookDocument $document, array $row): array
    {
        $claims = array_map(
            static fn (mixed $needs): string => implode('+', array_filter((array) $needs, is_string(...))),
            array_values((array) ($row['claims'] ?? [])),
        );
        // What a row asks for together stays together.
        $of = [...self::kinds(), ...array_combine($claims, array_map(
            static fn (string $needs): string => implode(' + ', array_map(
                static fn (string $kind): string => (string) __("draft.kinds.$kind"),
                explode('+', $needs),
            )),
            $claims,
        ))];

        return [
            self::group('', [
                Field::lines(
                    'said',
                    (string) __('draft.fields.said'),
                    $row['said'] ?? [],
                    (string) __('draft.hints.said'),
                ),
                Field::ticks(
                    'provokes',
                    (string) __('draft.fields.provokes'),
                    $row['provokes'] ?? [],
                    self::faults($document),
                ),
                Field::ticks(
                    'claims',
                    (string) __('draft.fields.claims'),
                    $claims,
                    $of,
                    (string) __('draft.hints.claims'),
                ),
                Field::area('why', (string) __('draft.fields.why'), $row['why'] ?? ''),
                Field::text('instead', (string) __('draft.fields.instead'), $row['instead'] ?? ''),
            ]),
        ];
    }
}
