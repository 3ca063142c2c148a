<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/**
 * What stands beside the ladders: materials, hand shapes and their number code, rules, helper scripts, hands-on
 * release.
 */
final readonly class Handbook
{
    /**
     * @param array<string, Material>  $materials
     * @param array<string, HandShape> $shapes
     * @param array<int, string>       $numberCode what each called number asks for; a clinic setting, this is
     *     its default
     * @param array<string, string>    $rules      by number, such as G7
     * @param list<HelperScript>       $scripts
     * @param array<string, mixed>     $cautions   as written, by key
     * @param array<string, string>    $stops      lines on when to stop that several rungs name
     * @param mixed                    $bars       as written
     */
    public function __construct(
        public array $materials,
        public array $shapes,
        public array $numberCode,
        public array $rules,
        public array $scripts,
        public ReleaseProtocol $release,
        public array $cautions,
        public array $stops,
        public mixed $bars,
        public Techniques $techniques,
    ) {
    }

    /** @return list<ScriptPart> what a helper reads aloud with an exercise */
    public function scriptPartsOf(string $rungId): array
    {
        $parts = [];
        foreach ($this->scripts as $script) {
            foreach ($script->parts as $part) {
                if (\in_array($rungId, $part->rungIds, true)) {
                    $parts[] = $part;
                }
            }
        }

        return $parts;
    }

    public function material(string $key): ?Material
    {
        return $this->materials[$key] ?? null;
    }
}
