<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** How a marker is drawn; shape and colour name go together so that neither has to be told by colour alone. */
enum MarkerShape: string
{
    case Triangle = 'triangle';
    case Square = 'square';
    case Ring = 'ring';
}
