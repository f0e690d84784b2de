package org.ulnaris.app.drawing;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.eclipse.elk.alg.layered.options.LayeredMetaDataProvider;
import org.eclipse.elk.alg.layered.options.LayeredOptions;
import org.eclipse.elk.core.RecursiveGraphLayoutEngine;
import org.eclipse.elk.core.data.LayoutMetaDataService;
import org.eclipse.elk.core.math.ElkPadding;
import org.eclipse.elk.core.math.KVector;
import org.eclipse.elk.core.options.CoreOptions;
import org.eclipse.elk.core.options.Direction;
import org.eclipse.elk.core.options.EdgeLabelPlacement;
import org.eclipse.elk.core.options.EdgeRouting;
import org.eclipse.elk.core.options.SizeConstraint;
import org.eclipse.elk.core.util.BasicProgressMonitor;
import org.eclipse.elk.graph.ElkEdge;
import org.eclipse.elk.graph.ElkEdgeSection;
import org.eclipse.elk.graph.ElkLabel;
import org.eclipse.elk.graph.ElkNode;
import org.eclipse.elk.graph.util.ElkGraphUtil;

/** Places boxes and the lines between them in layers from left to right, lines at right angles, nothing over anything else. */
public final class NetworkLayout {
    private static final double BETWEEN_LAYERS = 26;
    private static final double BETWEEN_NODES = 22;
    private static final double BETWEEN_LINES = 12;
    private static final double MARGIN = 10;

    static {
        LayoutMetaDataService.getInstance().registerLayoutMetaDataProviders(new LayeredMetaDataProvider());
    }

    private NetworkLayout() {}

    /** A size in units of the sheet. */
    public record Size(double width, double height) {}

    /** A box to be placed. */
    public record Box(String id, Size size) {}

    /** A line to be led from one box to another, with room for its words. */
    public record Line(String id, String from, String to, Size label) {}

    /** Where a box or a label ended up: its upper left corner and size. */
    public record Place(double x, double y, double width, double height) {
        /** Whether both share more than an edge. */
        public boolean overlaps(Place other) {
            return x < other.x + other.width
                    && other.x < x + width
                    && y < other.y + other.height
                    && other.y < y + height;
        }
    }

    /** A corner of a line. */
    public record Corner(double x, double y) {}

    /**
     * The sheet.
     *
     * @param width width of the sheet
     * @param height height of the sheet
     * @param boxes where each box is, by id
     * @param labels where the words of each line are, by id
     * @param lines the corners of each line, by id
     */
    public record Result(
            double width,
            double height,
            Map<String, Place> boxes,
            Map<String, Place> labels,
            Map<String, List<Corner>> lines) {}

    /**
     * Lays out {@code boxes} and {@code lines}.
     *
     * @throws IllegalArgumentException when a line ends at a box that is not there
     */
    public static Result of(List<Box> boxes, List<Line> lines) {
        ElkNode sheet = ElkGraphUtil.createGraph();
        sheet.setProperty(CoreOptions.ALGORITHM, LayeredOptions.ALGORITHM_ID);
        sheet.setProperty(LayeredOptions.DIRECTION, Direction.RIGHT);
        sheet.setProperty(LayeredOptions.EDGE_ROUTING, EdgeRouting.ORTHOGONAL);
        sheet.setProperty(LayeredOptions.EDGE_LABELS_PLACEMENT, EdgeLabelPlacement.CENTER);
        sheet.setProperty(LayeredOptions.SPACING_NODE_NODE_BETWEEN_LAYERS, BETWEEN_LAYERS);
        sheet.setProperty(LayeredOptions.SPACING_NODE_NODE, BETWEEN_NODES);
        sheet.setProperty(LayeredOptions.SPACING_EDGE_EDGE, BETWEEN_LINES);
        sheet.setProperty(LayeredOptions.SPACING_EDGE_NODE, BETWEEN_LINES);
        sheet.setProperty(LayeredOptions.SPACING_EDGE_EDGE_BETWEEN_LAYERS, BETWEEN_LINES);
        sheet.setProperty(LayeredOptions.PADDING, new ElkPadding(MARGIN));
        Map<String, ElkNode> nodes = new HashMap<>();
        for (Box box : boxes) {
            ElkNode node = ElkGraphUtil.createNode(sheet);
            node.setDimensions(box.size().width(), box.size().height());
            node.setProperty(
                    LayeredOptions.NODE_SIZE_CONSTRAINTS,
                    EnumSet.of(SizeConstraint.PORTS, SizeConstraint.MINIMUM_SIZE));
            node.setProperty(
                    LayeredOptions.NODE_SIZE_MINIMUM,
                    new KVector(box.size().width(), box.size().height()));
            nodes.put(box.id(), node);
        }
        Map<String, ElkEdge> edges = new HashMap<>();
        for (Line line : lines) {
            ElkNode from = nodes.get(line.from());
            ElkNode to = nodes.get(line.to());
            if (from == null || to == null) {
                throw new IllegalArgumentException("line " + line.id() + " ends at no box");
            }
            ElkEdge edge = ElkGraphUtil.createSimpleEdge(from, to);
            ElkLabel label = ElkGraphUtil.createLabel(line.id(), edge);
            label.setDimensions(line.label().width(), line.label().height());
            edges.put(line.id(), edge);
        }
        new RecursiveGraphLayoutEngine().layout(sheet, new BasicProgressMonitor());
        return read(sheet, nodes, edges);
    }

    private static Result read(ElkNode sheet, Map<String, ElkNode> nodes, Map<String, ElkEdge> edges) {
        Map<String, Place> boxes = new HashMap<>();
        nodes.forEach(
                (id, node) -> boxes.put(id, new Place(node.getX(), node.getY(), node.getWidth(), node.getHeight())));
        Map<String, Place> labels = new HashMap<>();
        Map<String, List<Corner>> lines = new HashMap<>();
        edges.forEach((id, edge) -> {
            ElkLabel label = edge.getLabels().get(0);
            labels.put(id, new Place(label.getX(), label.getY(), label.getWidth(), label.getHeight()));
            List<Corner> corners = new ArrayList<>();
            for (ElkEdgeSection section : edge.getSections()) {
                corners.add(new Corner(section.getStartX(), section.getStartY()));
                section.getBendPoints().forEach(bend -> corners.add(new Corner(bend.getX(), bend.getY())));
                corners.add(new Corner(section.getEndX(), section.getEndY()));
            }
            lines.put(id, corners);
        });
        return new Result(sheet.getWidth(), sheet.getHeight(), boxes, labels, lines);
    }
}
