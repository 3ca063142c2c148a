<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

/** Writes one kind of report. */
interface Author
{
    /** @return list<Paragraph> in their order, each of them there */
    public function of(Material $of): array;
}
