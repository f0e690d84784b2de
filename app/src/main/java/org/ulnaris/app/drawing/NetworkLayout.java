package org.ulnaris.app.drawing;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.eclipse.elk.alg.layered.options.LayeredMetaDataProvider;
import org.eclipse.elk.alg.layered.options.LayeredOptions;
import org.eclipse.elk.alg.layered.options.NodeFlexibility;
import org.eclipse.elk.alg.layered.options.NodePlacementStrategy;
import org.eclipse.elk.core.RecursiveGraphLayoutEngine;
import org.eclipse.elk.core.data.LayoutMetaDataService;
import org.eclipse.elk.core.math.ElkMargin;
import org.eclipse.elk.core.math.ElkPadding;
import org.eclipse.elk.core.math.KVector;
import org.eclipse.elk.core.options.CoreOptions;
import org.eclipse.elk.core.options.Direction;
import org.eclipse.elk.core.options.EdgeLabelPlacement;
import org.eclipse.elk.core.options.EdgeRouting;
import org.eclipse.elk.core.options.NodeLabelPlacement;
import org.eclipse.elk.core.options.PortConstraints;
import org.eclipse.elk.core.options.PortSide;
import org.eclipse.elk.core.options.SizeConstraint;
import org.eclipse.elk.core.util.BasicProgressMonitor;
import org.eclipse.elk.graph.ElkConnectableShape;
import org.eclipse.elk.graph.ElkEdge;
import org.eclipse.elk.graph.ElkEdgeSection;
import org.eclipse.elk.graph.ElkLabel;
import org.eclipse.elk.graph.ElkNode;
import org.eclipse.elk.graph.ElkPort;
import org.eclipse.elk.graph.util.ElkGraphUtil;

/** Places boxes and the lines between them in layers from left to right, lines at right angles, nothing over anything else. */
public final class NetworkLayout {
    private static final double BETWEEN_LAYERS = 10;
    private static final double BETWEEN_NODES = 20;
    private static final double BETWEEN_LINES = 10;
    private static final double MARGIN = 10;
    private static final int MOST_KEPT = 40;

    static {
        LayoutMetaDataService.getInstance().registerLayoutMetaDataProviders(new LayeredMetaDataProvider());
    }

    private NetworkLayout() {}

    /** A size in units of the sheet. */
    public record Size(double width, double height) {}

    /**
     * A box to be placed.
     *
     * @param ports where lines may end, from top to bottom on either side; with none the box is a bar: it grows as tall as its lines ask for,
     *     and they end anywhere along it
     * @param name room for its name above it
     */
    public record Box(String id, Size size, List<Port> ports, Size name) {}

    /** A place on the left or right side of a box where lines end. */
    public record Port(String id, boolean right) {}

    /** An end of a line; {@code port} is empty at a bar. */
    public record End(String box, String port) {}

    /** A line to be led from one box to another, with room for its words on it. */
    public record Line(String id, End from, End to, Size label) {}

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
     * @param ports where each port is, by its end
     * @param labels where the words of each line are, by id
     * @param lines the corners of each line, by id
     */
    public record Result(
            double width,
            double height,
            Map<String, Place> boxes,
            Map<End, Corner> ports,
            Map<String, Place> labels,
            Map<String, List<Corner>> lines) {}

    /** What is laid out. */
    private record Sheet(List<Box> boxes, List<Line> lines, Room room) {}

    /**
     * What is left free for what is drawn at the ends of the lines.
     *
     * @param beside beside each box
     * @param between from one end to the next on a side of a box
     */
    public record Room(double beside, double between) {
        static final Room USUAL = new Room(BETWEEN_LAYERS, BETWEEN_LINES);
    }

    /** Pressing about in a picture moves nothing in it: the last layouts are kept. */
    private static final Cache<Sheet, Result> KEPT =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    /**
     * Lays out {@code boxes} and {@code lines}.
     *
     * @throws IllegalArgumentException when a line ends at a box that is not there
     */
    public static Result of(List<Box> boxes, List<Line> lines) {
        return of(boxes, lines, Room.USUAL);
    }

    /** The same with {@code room} at the ends of the lines. */
    public static Result of(List<Box> boxes, List<Line> lines, Room room) {
        return Objects.requireNonNull(
                KEPT.get(new Sheet(List.copyOf(boxes), List.copyOf(lines), room), NetworkLayout::layOut));
    }

    private static Result layOut(Sheet asked) {
        ElkNode sheet = ElkGraphUtil.createGraph();
        sheet.setProperty(CoreOptions.ALGORITHM, LayeredOptions.ALGORITHM_ID);
        sheet.setProperty(LayeredOptions.DIRECTION, Direction.RIGHT);
        sheet.setProperty(LayeredOptions.EDGE_ROUTING, EdgeRouting.ORTHOGONAL);
        sheet.setProperty(LayeredOptions.EDGE_LABELS_PLACEMENT, EdgeLabelPlacement.CENTER);
        sheet.setProperty(
                LayeredOptions.SPACING_NODE_NODE_BETWEEN_LAYERS, asked.room().beside());
        sheet.setProperty(LayeredOptions.SPACING_NODE_NODE, BETWEEN_NODES);
        sheet.setProperty(LayeredOptions.SPACING_EDGE_EDGE, BETWEEN_LINES);
        sheet.setProperty(LayeredOptions.SPACING_EDGE_NODE, BETWEEN_LINES);
        sheet.setProperty(LayeredOptions.SPACING_EDGE_EDGE_BETWEEN_LAYERS, BETWEEN_LINES);
        sheet.setProperty(
                LayeredOptions.SPACING_EDGE_NODE_BETWEEN_LAYERS, asked.room().beside());
        sheet.setProperty(LayeredOptions.SPACING_PORT_PORT, asked.room().between());
        sheet.setProperty(LayeredOptions.PADDING, new ElkPadding(MARGIN));
        sheet.setProperty(LayeredOptions.NODE_PLACEMENT_STRATEGY, NodePlacementStrategy.NETWORK_SIMPLEX);
        Map<String, ElkNode> nodes = new HashMap<>();
        Map<End, ElkPort> ports = new HashMap<>();
        for (Box box : asked.boxes()) {
            nodes.put(box.id(), node(sheet, box, asked.room(), ports));
        }
        Map<String, ElkEdge> edges = new HashMap<>();
        for (Line line : asked.lines()) {
            ElkEdge edge = ElkGraphUtil.createSimpleEdge(
                    end(line, line.from(), nodes, ports), end(line, line.to(), nodes, ports));
            ElkLabel label = ElkGraphUtil.createLabel(line.id(), edge);
            label.setDimensions(line.label().width(), line.label().height());
            label.setProperty(CoreOptions.EDGE_LABELS_INLINE, true);
            edges.put(line.id(), edge);
        }
        new RecursiveGraphLayoutEngine().layout(sheet, new BasicProgressMonitor());
        return read(sheet, nodes, ports, edges);
    }

    private static ElkNode node(ElkNode sheet, Box box, Room room, Map<End, ElkPort> ports) {
        ElkNode node = ElkGraphUtil.createNode(sheet);
        node.setDimensions(box.size().width(), box.size().height());
        node.setProperty(
                LayeredOptions.NODE_SIZE_MINIMUM,
                new KVector(box.size().width(), box.size().height()));
        if (box.ports().isEmpty()) {
            double rim = room.between() - BETWEEN_LINES;
            node.setProperty(CoreOptions.SPACING_PORTS_SURROUNDING, new ElkMargin(rim, 0, rim, 0));
            node.setProperty(
                    LayeredOptions.NODE_SIZE_CONSTRAINTS,
                    EnumSet.of(SizeConstraint.PORTS, SizeConstraint.MINIMUM_SIZE));
            node.setProperty(LayeredOptions.NODE_PLACEMENT_NETWORK_SIMPLEX_NODE_FLEXIBILITY, NodeFlexibility.NODE_SIZE);
            ElkLabel label = ElkGraphUtil.createLabel(box.id(), node);
            label.setDimensions(box.name().width(), box.name().height());
            node.setProperty(CoreOptions.NODE_LABELS_PLACEMENT, NodeLabelPlacement.outsideTopCenter());
            return node;
        }
        node.setProperty(CoreOptions.PORT_CONSTRAINTS, PortConstraints.FIXED_ORDER);
        int index = 0;
        for (Port port : inOrder(box.ports())) {
            ElkPort made = ElkGraphUtil.createPort(node);
            made.setProperty(CoreOptions.PORT_SIDE, port.right() ? PortSide.EAST : PortSide.WEST);
            made.setProperty(CoreOptions.PORT_INDEX, index++);
            ports.put(new End(box.id(), port.id()), made);
        }
        return node;
    }

    /** Clockwise from the upper left, as the engine counts them. */
    private static List<Port> inOrder(List<Port> ports) {
        List<Port> order = new ArrayList<>(ports.stream().filter(Port::right).toList());
        List<Port> left =
                new ArrayList<>(ports.stream().filter(port -> !port.right()).toList());
        Collections.reverse(left);
        order.addAll(left);
        return order;
    }

    private static ElkConnectableShape end(Line line, End end, Map<String, ElkNode> nodes, Map<End, ElkPort> ports) {
        ElkConnectableShape shape = end.port().isEmpty() ? nodes.get(end.box()) : ports.get(end);
        if (shape == null) {
            throw new IllegalArgumentException("line " + line.id() + " ends at no box");
        }
        return shape;
    }

    private static Result read(
            ElkNode sheet, Map<String, ElkNode> nodes, Map<End, ElkPort> ports, Map<String, ElkEdge> edges) {
        Map<String, Place> boxes = new HashMap<>();
        nodes.forEach(
                (id, node) -> boxes.put(id, new Place(node.getX(), node.getY(), node.getWidth(), node.getHeight())));
        Map<End, Corner> ends = new HashMap<>();
        ports.forEach((end, port) -> ends.put(
                end,
                new Corner(
                        port.getParent().getX() + port.getX(), port.getParent().getY() + port.getY())));
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
        return new Result(
                sheet.getWidth(),
                sheet.getHeight(),
                Map.copyOf(boxes),
                Map.copyOf(ends),
                Map.copyOf(labels),
                Map.copyOf(lines));
    }
}
