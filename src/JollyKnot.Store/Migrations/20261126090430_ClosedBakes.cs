using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace JollyKnot.Store.Migrations
{
    /// <inheritdoc />
    public partial class ClosedBakes : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "Closed",
                table: "Bakes",
                type: "TEXT",
                nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "Closed",
                table: "Bakes");
        }
    }
}
