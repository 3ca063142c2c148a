<?php

declare(strict_types=1);

namespace HandGarden\Exchange\Case;

use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Progress\Proposer;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\WhatElse;

/** The three questions a case can be asked, without a database. */
final readonly class CaseRunner
{
    public function __construct(
        private CatalogueStore $catalogue,
        private ResultWriter $writer,
        private string $schemaFile,
    ) {
    }

    public function read(string $json): CaseFile
    {
        return (
            new CaseReader($this->catalogue->get(), new SchemaCheck($this->schemaFile))
        )->read($json);
    }

    /** @return array<string, mixed> */
    public function place(CaseFile $case): array
    {
        return $this->writer->placements(
            (new Placer($this->catalogue->get()))->place($case->facts, $case->today),
        );
    }

    /** @return array<string, mixed> */
    public function build(CaseFile $case): array
    {
        $catalogue = $this->catalogue->get();
        $brief = $case->brief((new Placer($catalogue))->place($case->facts, $case->today));
        $routine = (new Builder($catalogue))->build($brief);

        return $this->writer->routine(
            $routine,
            (new WhatElse($catalogue))->for($routine, $brief),
        );
    }

    /** @return array<string, mixed> */
    public function propose(CaseFile $case): array
    {
        $catalogue = $this->catalogue->get();

        return $this->writer->proposals(
            (new Proposer($catalogue))->propose(
                $case->routine,
                $case->log,
                $case->situation(new Placer($catalogue)),
            ),
        );
    }
}
